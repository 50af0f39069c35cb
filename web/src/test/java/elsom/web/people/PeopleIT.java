package elsom.web.people;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.security.test.web.servlet.setup.SecurityMockMvcConfigurers.springSecurity;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;

import elsom.core.trial.TrialId;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.platform.Refusal;
import elsom.web.platform.Role;
import elsom.web.trial.Trials;
import jakarta.servlet.http.Cookie;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.mock.web.MockHttpServletResponse;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;
import org.springframework.test.web.servlet.setup.MockMvcBuilders;
import org.springframework.web.context.WebApplicationContext;

/** Accounts, PINs, devices, links and the log, as they are used and as they are tried to be misused. */
@PeopleTest
class PeopleIT {
    @Autowired
    private WebApplicationContext application;

    @Autowired
    private People people;

    @Autowired
    private Trials trials;

    @Autowired
    private JdbcTemplate store;

    private final String name = "Kim " + UUID.randomUUID().toString().substring(0, 6);
    private MockMvc mvc;

    @BeforeEach
    void somebody() {
        mvc = MockMvcBuilders.webAppContextSetup(application)
                .apply(springSecurity())
                .build();
        Staffed.in(people);
        people.add(name, Role.PLAN, PeopleTest.PASSWORD);
    }

    private String signedIn(String who) {
        return people.signIn(who, PeopleTest.PASSWORD, "phone", "here").token();
    }

    private MockHttpServletResponse sent(MockHttpServletRequestBuilder request, String device) throws Exception {
        return mvc.perform(request.with(csrf()).cookie(new Cookie(People.COOKIE, device)))
                .andReturn()
                .getResponse();
    }

    private MockHttpServletResponse seen(String path, String device) throws Exception {
        return mvc.perform(get(path).cookie(new Cookie(People.COOKIE, device)))
                .andReturn()
                .getResponse();
    }

    @Test
    void wrongPasswordsAreFewAndSayNothingOfWhoHasAnAccount() {
        String wrong = people.signIn(name, "not this one at all", "phone", "a").problem();
        assertThat(people.signIn("Nobody at all", "not this one at all", "phone", "b")
                        .problem())
                .isEqualTo(wrong);
        for (int i = 0; i < 10; i++) {
            people.signIn(name, "not this one at all", "phone", "c" + i);
        }
        assertThat(people.signIn(name, PeopleTest.PASSWORD, "phone", "d").problem())
                .contains("too many tries");
        assertThat(people.signIn("Ida", PeopleTest.PASSWORD, "phone", "d").token())
                .isNotEmpty();
    }

    @Test
    void byAPinOneMeasuresAndNoMore() throws Exception {
        String device = signedIn("Ida");
        assertThat(sent(post("/me/pin").param("known", PeopleTest.PASSWORD).param("pin", "4071"), signedIn(name))
                        .getContentAsString())
                .contains("Your PIN is kept");
        assertThat(sent(post("/change-person").param("name", name).param("pin", "1111"), device)
                        .getStatus())
                .isEqualTo(422);
        assertThat(sent(post("/change-person").param("name", name).param("pin", "4071"), device)
                        .getStatus())
                .isEqualTo(302);
        assertThat(seen("/trials", device).getContentAsString()).contains(name);
        assertThat(sent(post("/trials/new"), device).getStatus()).as("plans").isEqualTo(403);
        assertThat(seen("/people", device).getStatus()).as("keeps").isEqualTo(403);
        assertThat(sent(post("/meters"), device).getStatus()).as("measures").isNotEqualTo(403);
    }

    @Test
    void aPinThatWasWrongTooOftenIsOff() {
        String device = signedIn("Ida");
        DeviceSignIn here = people.signIns().get(0);
        people.pin(
                people.signIns().stream()
                        .filter(one -> one.person().equals(name))
                        .findFirst()
                        .orElseGet(() -> {
                            signedIn(name);
                            return people.signIns().stream()
                                    .filter(one -> one.person().equals(name))
                                    .findFirst()
                                    .orElseThrow();
                        }),
                "4071");
        for (int i = 0; i < 5; i++) {
            assertThat(people.change(here, name, "9340")).isPresent();
        }
        assertThat(people.change(here, name, "4071"))
                .hasValueSatisfying(why -> assertThat(why).contains("too often"));
        signedIn(name);
        assertThat(people.change(here, name, "4071")).isEmpty();
        assertThat(device).isNotEmpty();
    }

    @Test
    void aSignInThatIsEndedOrOverOpensNothing() throws Exception {
        String device = signedIn(name);
        assertThat(seen("/trials", device).getStatus()).isEqualTo(200);
        store.update("update sign_in set seen_at = dateadd('HOUR', -19, seen_at) where person = ?", name);
        assertThat(seen("/trials", device).getStatus()).as("idle for 19 hours").isEqualTo(302);
        String other = signedIn(name);
        people.leave(name);
        assertThat(seen("/trials", other).getStatus()).as("who left").isEqualTo(302);
        assertThat(people.nameProblem(name))
                .as("a name that has signed something is not given again")
                .isPresent();
    }

    @Test
    void somebodyMustBeLeftWhoKeeps() {
        store.update("update person set role = 'READ' where role = 'KEEP' and name <> 'Ida'");
        assertThatThrownBy(() -> people.leave("Ida"))
                .isInstanceOf(Refusal.class)
                .hasMessageContaining("only one");
        assertThatThrownBy(() -> people.role("Ida", Role.READ)).isInstanceOf(Refusal.class);
    }

    @Test
    void anInvitationWorksOnceAndEnds() throws Exception {
        String token = people.invite(Role.MEASURE);
        String joined = people.join(token, name + " b", PeopleTest.PASSWORD, "phone");
        assertThat(seen("/me", joined).getContentAsString()).contains(name + " b");
        assertThat(mvc.perform(get("/join/" + token)).andReturn().getResponse().getStatus())
                .isEqualTo(404);
        String late = people.invite(Role.KEEP);
        store.update("update invitation set ends_at = dateadd('DAY', -4, ends_at) where used_by is null");
        assertThat(mvc.perform(get("/join/" + late)).andReturn().getResponse().getStatus())
                .isEqualTo(404);
    }

    @Test
    void aLinkShowsTheReportAndNothingElse() throws Exception {
        TrialId trial = trials.create(ExchangeFixture.whole(), UUID.randomUUID());
        String page = sent(post("/trials/" + trial + "/share").param("days", "3"), signedIn(name))
                .getContentAsString();
        String link = page.replaceAll("(?s).*link-shown\">[^<]*(/shared/[^<]*)<.*", "$1");
        assertThat(mvc.perform(get(link)).andReturn().getResponse().getForwardedUrl())
                .isEqualTo("/trials/" + trial + "/report");
        assertThat(mvc.perform(get("/trials/" + trial + "/report"))
                        .andReturn()
                        .getResponse()
                        .getStatus())
                .isEqualTo(302);
        store.update("update shared_link set ends_at = dateadd('DAY', -4, ends_at)");
        assertThat(mvc.perform(get(link)).andReturn().getResponse().getStatus()).isEqualTo(404);
        assertThat(mvc.perform(get("/shared/guessed")).andReturn().getResponse().getStatus())
                .isEqualTo(404);
    }

    @Test
    void theLogTellsWhoWroteWhatStoodThereBeforeAndOnlyGrows() throws Exception {
        String device = signedIn(name);
        String lot = "bark " + name;
        sent(post("/shelf/lot").param("name", lot).param("material", "bark").param("kind", "ORGANIC"), device);
        Integer lines = store.queryForObject(
                "select count(*) from write_log where thing = 'lot' and person = ?", Integer.class, name);
        assertThat(lines).isPositive();
        sent(post("/shelf/lot/remove").param("name", lot), device);
        String csv = seen("/log.csv", signedIn("Ida")).getContentAsString();
        assertThat(csv).contains(name).contains("lot,removed").contains(lot);
        assertThatThrownBy(() -> store.update("delete from write_log where person = ?", name))
                .isInstanceOf(DataAccessException.class)
                .hasMessageContaining("only grows");
        assertThatThrownBy(() -> store.update("update write_log set person = 'Mo' where person = ?", name))
                .isInstanceOf(DataAccessException.class);
        assertThat(csv).doesNotContain("{bcrypt}");
    }
}
