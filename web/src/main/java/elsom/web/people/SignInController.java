package elsom.web.people;

import elsom.web.platform.DeviceCookie;
import elsom.web.platform.Station;
import jakarta.servlet.http.HttpServletRequest;
import jakarta.servlet.http.HttpServletResponse;
import java.time.Duration;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.springframework.http.HttpHeaders;
import org.springframework.http.HttpStatus;
import org.springframework.http.ResponseCookie;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** In and out, on a device. */
@Controller
class SignInController {
    private final People people;

    SignInController(People people) {
        this.people = people;
    }

    /**
     * The page to sign in on.
     *
     * @param name as it was typed
     * @param back where one wanted to go
     * @param accounts whether anybody has an account here
     */
    record SignInPage(String name, String back, String problem, boolean accounts) {}

    /**
     * The page to join on.
     *
     * @param role what the invitation lets one do, in words
     */
    record JoinPage(String token, String role, String name, Map<String, String> problems) {
        public String problem(String field) {
            return problems.getOrDefault(field, "");
        }
    }

    /**
     * The page to put somebody else at this device.
     *
     * @param people who has a PIN
     */
    record ChangePage(String now, List<String> people, String name, String back, String problem) {}

    @GetMapping("/sign-in")
    String show(
            @RequestParam(defaultValue = "/") String back,
            @RequestParam(defaultValue = "false") boolean out,
            Model model) {
        model.addAttribute("page", new SignInPage("", DeviceCookie.ownPath(back), "", people.accounts()));
        model.addAttribute("out", out);
        return "people/sign-in";
    }

    @PostMapping("/sign-in")
    ModelAndView signIn(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            @RequestParam(defaultValue = "/") String back,
            Station station,
            HttpServletRequest request,
            HttpServletResponse response) {
        People.Tried tried = people.signIn(name, password, device(station, request), request.getRemoteAddr());
        if (!tried.problem().isEmpty()) {
            return refused(
                    "people/sign-in",
                    new SignInPage(name, DeviceCookie.ownPath(back), tried.problem(), people.accounts()));
        }
        keep(tried.token(), request, response);
        return new ModelAndView("redirect:" + DeviceCookie.ownPath(back));
    }

    private static ModelAndView refused(String view, Object page) {
        return new ModelAndView(view, Map.of("page", page), HttpStatus.UNPROCESSABLE_CONTENT);
    }

    @PostMapping("/sign-out")
    String signOut(HttpServletRequest request, HttpServletResponse response) {
        people.signIn(request).ifPresent(here -> people.end(here.id()));
        keep("", request, response);
        return "redirect:/sign-in?out=true";
    }

    private static void keep(String token, HttpServletRequest request, HttpServletResponse response) {
        ResponseCookie cookie = ResponseCookie.from(People.COOKIE, token)
                .path("/")
                .maxAge(token.isEmpty() ? Duration.ZERO : People.LASTS)
                .httpOnly(true)
                .sameSite("Lax")
                .secure(request.isSecure())
                .build();
        response.addHeader(HttpHeaders.SET_COOKIE, cookie.toString());
    }

    /** What a device is called where one ends it: its station, if it has a name, and what kind of machine it says it is. */
    private static String device(Station station, HttpServletRequest request) {
        String says =
                Optional.ofNullable(request.getHeader(HttpHeaders.USER_AGENT)).orElse("");
        String kind = says.contains("Mobi")
                ? "phone"
                : says.contains("Tablet") || says.contains("iPad") ? "tablet" : "computer";
        return station.name().map(name -> name + ", ").orElse("") + kind;
    }

    @GetMapping("/join/{token}")
    String joining(@PathVariable String token, Model model) {
        model.addAttribute(
                "page", new JoinPage(token, people.invitation(token).role().may(), "", Map.of()));
        return "people/join";
    }

    @PostMapping("/join/{token}")
    ModelAndView join(
            @PathVariable String token,
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String password,
            Station station,
            HttpServletRequest request,
            HttpServletResponse response) {
        Invitation invitation = people.invitation(token);
        Map<String, String> problems = new LinkedHashMap<>();
        people.nameProblem(name).ifPresent(problem -> problems.put("name", problem));
        Secrets.problem(password, name).ifPresent(problem -> problems.put("password", problem));
        if (!problems.isEmpty()) {
            return refused("people/join", new JoinPage(token, invitation.role().may(), name, problems));
        }
        keep(people.join(token, name, password, device(station, request)), request, response);
        return new ModelAndView("redirect:/me");
    }

    @GetMapping("/change-person")
    String changing(@RequestParam(defaultValue = "/") String back, HttpServletRequest request, Model model) {
        model.addAttribute("page", asking("", DeviceCookie.ownPath(back), "", request));
        return "people/change";
    }

    private ChangePage asking(String name, String back, String problem, HttpServletRequest request) {
        return new ChangePage(
                people.signIn(request).map(DeviceSignIn::person).orElse(""),
                people.all().stream()
                        .filter(one -> one.here() && one.pin() != null)
                        .map(Person::name)
                        .toList(),
                name,
                back,
                problem);
    }

    @PostMapping("/change-person")
    ModelAndView change(
            @RequestParam(defaultValue = "") String name,
            @RequestParam(defaultValue = "") String pin,
            @RequestParam(defaultValue = "/") String back,
            HttpServletRequest request) {
        Optional<String> problem = people.signIn(request)
                .map(here -> people.change(here, name, pin))
                .orElse(Optional.of("Nobody is signed in on this device."));
        String path = DeviceCookie.ownPath(back);
        return problem.isPresent()
                ? refused("people/change", asking(name, path, problem.get(), request))
                : new ModelAndView("redirect:" + path);
    }
}
