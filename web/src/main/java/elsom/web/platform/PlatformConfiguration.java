package elsom.web.platform;

import java.time.Clock;
import java.util.List;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What all features are given. */
@Configuration
class PlatformConfiguration implements WebMvcConfigurer {
    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new StationResolver());
    }
}
