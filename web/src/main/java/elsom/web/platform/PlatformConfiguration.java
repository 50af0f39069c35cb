package elsom.web.platform;

import java.time.Clock;
import java.util.List;
import org.apache.catalina.core.StandardHost;
import org.springframework.boot.tomcat.servlet.TomcatServletWebServerFactory;
import org.springframework.boot.web.server.WebServerFactoryCustomizer;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.web.method.support.HandlerMethodArgumentResolver;
import org.springframework.web.servlet.config.annotation.InterceptorRegistry;
import org.springframework.web.servlet.config.annotation.WebMvcConfigurer;

/** What all features are given. */
@Configuration
class PlatformConfiguration implements WebMvcConfigurer {
    private final DiskSpace disk;

    PlatformConfiguration(DiskSpace disk) {
        this.disk = disk;
    }

    @Bean
    static DiskSpace diskSpace(Settings settings) {
        return new DiskSpace(settings.home());
    }

    @Override
    public void addInterceptors(InterceptorRegistry interceptors) {
        interceptors.addInterceptor(new RoomToWrite(disk));
    }

    /** What the container refuses before any of our code is asked gets our page too. */
    @Bean
    WebServerFactoryCustomizer<TomcatServletWebServerFactory> ownRefusals() {
        return server -> server.addContextCustomizers(context ->
                ((StandardHost) context.getParent()).setErrorReportValveClass(ContainerRefusal.class.getName()));
    }

    @Bean
    TrustedProxy proxy(Settings settings) {
        return new TrustedProxy(settings.proxy());
    }

    @Bean
    Clock clock() {
        return Clock.systemUTC();
    }

    @Override
    public void addArgumentResolvers(List<HandlerMethodArgumentResolver> resolvers) {
        resolvers.add(new StationResolver());
        resolvers.add(new ShownMeasuresResolver());
    }
}
