package elsom.web.device;

import static org.hamcrest.Matchers.containsString;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import elsom.core.sim.ScaleFault;
import elsom.core.sim.ScaleReading;
import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.web.exchange.ExchangeFixture;
import elsom.web.platform.SecurityConfiguration;
import elsom.web.platform.SignIns;
import elsom.web.trial.Plans;
import elsom.web.trial.Quarantines;
import elsom.web.trial.Trials;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.webmvc.test.autoconfigure.WebMvcTest;
import org.springframework.context.annotation.Import;
import org.springframework.http.MediaType;
import org.springframework.test.context.bean.override.mockito.MockitoBean;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

/** What the page is told of each thing a scale can do. */
@WebMvcTest(ScaleController.class)
@Import(SecurityConfiguration.class)
class ScaleControllerTest {
    @Autowired
    private MockMvc mvc;

    /** Nobody has an account. */
    @MockitoBean
    private SignIns signIns;

    @MockitoBean
    private Scale scale;

    @MockitoBean
    private Trials trials;

    /** Every controller's pages may say which lots are in quarantine. */
    @MockitoBean
    private Plans plans;

    @MockitoBean
    private Quarantines quarantines;

    private final TrialRecord record = ExchangeFixture.drawn();

    @BeforeEach
    void aTrial() {
        when(trials.key(new TrialId(1))).thenReturn(record);
    }

    private ResultActions weigh(String unit, int look, String endpoint) throws Exception {
        return mvc.perform(post("/device/scale/weigh")
                .with(csrf())
                .accept(MediaType.APPLICATION_JSON)
                .param("trial", "1")
                .param("unit", unit)
                .param("look", Integer.toString(look))
                .param("endpoint", endpoint));
    }

    private ResultActions weighed(ScaleReading reading) throws Exception {
        when(scale.weigh(any(), any())).thenReturn(reading);
        return weigh(record.units().get(0).code().value(), 1, "tare-mass");
    }

    @Test
    void aSteadyWeightIsShown() throws Exception {
        weighed(new ScaleReading.Steady("35.2", 35.2))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.stands").value("STEADY"))
                .andExpect(jsonPath("$.display").value("35.2"));
    }

    @Test
    void everyTroubleSaysWhatToDo() throws Exception {
        weighed(new ScaleReading.Moving("35.9")).andExpect(jsonPath("$.message").value(containsString("hands off")));
        weighed(new ScaleReading.Overload("0-Ld"))
                .andExpect(jsonPath("$.message").value(containsString("Take it off")));
        weighed(new ScaleReading.Silent("")).andExpect(jsonPath("$.message").value(containsString("plugged in")));
    }

    @Test
    void whatIsNotWeighedIsRefused() throws Exception {
        String unit = record.units().get(0).code().value();
        weigh("K99", 1, "tare-mass").andExpect(status().isUnprocessableContent());
        weigh("?", 1, "tare-mass").andExpect(status().isUnprocessableContent());
        weigh(unit, 3, "drop-time")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.message").value(containsString("not weighed")));
    }

    @Test
    void theTareButtonIsPressed() throws Exception {
        when(scale.fault()).thenReturn(ScaleFault.NONE);
        mvc.perform(post("/device/scale/tare").with(csrf()))
                .andExpect(jsonPath("$.message").value(containsString("Zeroed")));
        verify(scale).tare(true);
    }

    @Test
    void withoutThePagesKeyNothingHappens() throws Exception {
        mvc.perform(post("/device/scale/tare")).andExpect(status().isForbidden());
    }
}
