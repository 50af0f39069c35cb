package elsom.web.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;

import elsom.web.platform.Role;
import jakarta.servlet.http.Cookie;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.Reader;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeSet;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVRecord;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Qualifier;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.request.MockMvcRequestBuilders;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;
import org.springframework.web.servlet.mvc.method.annotation.RequestMappingHandlerMapping;

/** Every address as nobody and as every role, against a list that says who may; a new address fails until it stands there. */
@PeopleTest
class WhoMayIT {
    /** No trial, number or name is called so. */
    private static final String NONE = "987654";

    private static final String ANYBODY = "anybody";

    @Autowired
    private WebApplicationContext application;

    @Autowired
    @Qualifier("requestMappingHandlerMapping")
    private RequestMappingHandlerMapping mapped;

    @Autowired
    private People people;

    private MockMvc mvc;

    /** A line of the list. */
    private record Address(HttpMethod method, String pattern, String least) {
        boolean open() {
            return least.equals(ANYBODY);
        }

        boolean allows(Role role) {
            return open() || role.includes(Role.valueOf(least.toUpperCase(Locale.ROOT)));
        }

        String path() {
            return pattern.replaceAll("\\{[a-z]+}", NONE);
        }
    }

    @BeforeEach
    void begin() {
        mvc = MockMvcBuilders.webAppContextSetup(application)
                .apply(springSecurity())
                .build();
        Staffed.in(people);
    }

    private static List<Address> listed() throws IOException {
        try (Reader text = new InputStreamReader(
                Objects.requireNonNull(WhoMayIT.class.getResourceAsStream("/people/who-may.csv")),
                StandardCharsets.UTF_8)) {
            List<Address> all = new ArrayList<>();
            for (CSVRecord row : CSVFormat.DEFAULT
                    .builder()
                    .setHeader()
                    .setSkipHeaderRecord(true)
                    .get()
                    .parse(text)) {
                all.add(new Address(HttpMethod.valueOf(row.get(0)), row.get(1), row.get(2)));
            }
            return all;
        }
    }

    private MockHttpServletResponse asked(Address address, Optional<String> device) throws Exception {
        MockHttpServletRequestBuilder request = MockMvcRequestBuilders.request(address.method(), address.path());
        if (address.method() == HttpMethod.POST) {
            request.with(csrf());
        }
        device.ifPresent(token -> request.cookie(new Cookie(People.COOKIE, token)));
        return mvc.perform(request).andReturn().getResponse();
    }

    private static boolean sentToSignIn(MockHttpServletResponse response) {
        String to = response.getRedirectedUrl();
        return response.getStatus() == 401 || to != null && to.startsWith("/sign-in?back=");
    }

    @Test
    void everyAddressStandsInTheListAndNoOther() throws Exception {
        TreeSet<String> known = new TreeSet<>();
        mapped.getHandlerMethods().forEach((info, handler) -> {
            if (handler.getBeanType().getName().startsWith("elsom.")) {
                info.getPatternValues().stream()
                        .filter(pattern -> !pattern.equals("/error"))
                        .forEach(pattern -> info.getMethodsCondition()
                                .getMethods()
                                .forEach(method -> known.add(method + " " + pattern)));
            }
        });
        TreeSet<String> said = new TreeSet<>();
        listed().forEach(address -> said.add(address.method() + " " + address.pattern()));
        assertThat(said).isEqualTo(known);
    }

    @Test
    void whoDidNotSignInSeesNothingAndChangesNothing() throws Exception {
        List<String> wrong = new ArrayList<>();
        for (Address address : listed()) {
            if (sentToSignIn(asked(address, Optional.empty())) == address.open()) {
                wrong.add(address.method() + " " + address.pattern());
            }
        }
        assertThat(wrong).isEmpty();
    }

    @Test
    void everyRoleMayWhatTheListSaysAndNoMore() throws Exception {
        List<String> wrong = new ArrayList<>();
        for (Map.Entry<Role, String> who : Staffed.devices(people).entrySet()) {
            for (Address address : listed()) {
                if (address.pattern().equals("/sign-out")) {
                    continue;
                }
                MockHttpServletResponse answer = asked(address, Optional.of(who.getValue()));
                if (answer.getStatus() >= 500) {
                    wrong.add(address.method() + " " + address.pattern() + " breaks without its fields");
                }
                boolean let = answer.getStatus() != 403 && !sentToSignIn(answer);
                if (let != address.allows(who.getKey()) && !addressedByKey(address)) {
                    wrong.add(
                            who.getKey() + " " + address.method() + " " + address.pattern() + " " + answer.getStatus());
                }
            }
        }
        assertThat(wrong).isEmpty();
    }

    /** Scripts are let in by a key of their own, and refused without one whoever is signed in. */
    private static boolean addressedByKey(Address address) {
        return address.pattern().startsWith("/intake/readings");
    }

    @Test
    void whatIsSentWithoutAnAccountIsAnsweredInItsOwnForm() throws Exception {
        MockHttpServletResponse page = mvc.perform(
                        MockMvcRequestBuilders.post("/trials/1/start").with(csrf()))
                .andReturn()
                .getResponse();
        assertThat(page.getStatus()).isEqualTo(401);
        MockHttpServletResponse seen = mvc.perform(MockMvcRequestBuilders.get("/trials?q=peat&kind=a b"))
                .andReturn()
                .getResponse();
        assertThat(seen.getRedirectedUrl()).startsWith("/sign-in?back=%2Ftrials%3Fq");
    }
}
