package elsom.web.people;

import elsom.web.kit.Times;
import elsom.web.platform.Acting;
import elsom.web.platform.Role;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Instant;
import java.time.ZoneId;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Consumer;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Controller;
import org.springframework.ui.Model;
import org.springframework.web.bind.annotation.GetMapping;
import org.springframework.web.bind.annotation.PathVariable;
import org.springframework.web.bind.annotation.PostMapping;
import org.springframework.web.bind.annotation.RequestParam;
import org.springframework.web.servlet.ModelAndView;

/** Who works here: for who keeps, everybody; for each, their own account. */
@Controller
class PeopleController {
    private final People people;

    PeopleController(People people) {
        this.people = people;
    }

    /** Somebody on the page. */
    record PersonLine(String name, Role role, String since, String left) {}

    /** A device on a page. */
    record DeviceLine(long id, String device, String who, String begun, String seen, boolean here) {}

    /** An open invitation on the page. */
    record InvitationLine(long id, String role, String by, String ends) {}

    /**
     * The page of people.
     *
     * @param link an invitation just made; empty for none
     */
    record PeoplePage(
            boolean accounts,
            List<PersonLine> people,
            List<DeviceLine> devices,
            List<InvitationLine> invitations,
            List<Role> roles,
            String link) {}

    /** The page of one's own account. */
    record MePage(
            String name,
            Role role,
            String may,
            boolean pin,
            List<DeviceLine> devices,
            Map<String, String> problems,
            String done) {
        public String problem(String field) {
            return problems.getOrDefault(field, "");
        }
    }

    @GetMapping("/people")
    String show(HttpServletRequest request, Model model) {
        model.addAttribute("page", page(request, ""));
        return "people/people";
    }

    private PeoplePage page(HttpServletRequest request, String link) {
        return new PeoplePage(
                people.accounts(),
                people.all().stream()
                        .map(one -> new PersonLine(
                                one.name(),
                                one.role(),
                                day(one.addedAt()),
                                one.leftAt() == null ? "" : day(one.leftAt())))
                        .toList(),
                people.signIns().stream().map(one -> line(one, request)).toList(),
                people.invitations().stream()
                        .map(one -> new InvitationLine(one.id(), one.role().label(), one.madeBy(), day(one.endsAt())))
                        .toList(),
                Arrays.asList(Role.values()),
                link);
    }

    private static String day(Instant at) {
        return Times.dayAndTime(at, ZoneId.systemDefault());
    }

    private DeviceLine line(DeviceSignIn one, HttpServletRequest request) {
        boolean here = people.signIn(request).map(each -> each.id() == one.id()).orElse(false);
        String who = one.owner().equals(one.person()) ? one.person() : one.person() + ", on a device of " + one.owner();
        return new DeviceLine(one.id(), one.device(), who, day(one.begunAt()), day(one.seenAt()), here);
    }

    /** Makes an invitation; this answer is the only one that shows its link. */
    @PostMapping("/people/invite")
    String invite(@RequestParam Role role, HttpServletRequest request, Model model) {
        String root = request.getRequestURL().toString().replace(request.getRequestURI(), "");
        model.addAttribute("page", page(request, root + "/join/" + people.invite(role)));
        return "people/people";
    }

    @PostMapping("/people/invitations/{invitation}/withdraw")
    String withdraw(@PathVariable long invitation) {
        people.withdraw(invitation);
        return "redirect:/people";
    }

    @PostMapping("/people/role")
    String role(@RequestParam String name, @RequestParam Role role) {
        people.role(name, role);
        return "redirect:/people";
    }

    @PostMapping("/people/leave")
    String leave(@RequestParam String name) {
        people.leave(name);
        return "redirect:/people";
    }

    @GetMapping("/me")
    ModelAndView me(HttpServletRequest request) {
        Optional<DeviceSignIn> here = people.signIn(request);
        return here.isEmpty()
                ? new ModelAndView("redirect:" + (people.accounts() ? "/sign-in" : "/people"))
                : mine(here.get(), Map.of(), "", request);
    }

    private ModelAndView mine(
            DeviceSignIn here, Map<String, String> problems, String done, HttpServletRequest request) {
        Person person = people.named(here.person());
        MePage page = new MePage(
                person.name(),
                here.allowed(),
                here.allowed().may(),
                person.pin() != null,
                people.signIns().stream()
                        .filter(one -> one.owner().equals(person.name())
                                || one.person().equals(person.name()))
                        .map(one -> line(one, request))
                        .toList(),
                problems,
                done);
        return new ModelAndView(
                "people/me",
                Map.of("page", page),
                problems.isEmpty() ? HttpStatus.OK : HttpStatus.UNPROCESSABLE_CONTENT);
    }

    /** Changing a secret takes the one that stands: whoever finds a phone lying about can't. */
    private ModelAndView changing(
            HttpServletRequest request,
            String known,
            Map<String, String> problems,
            Consumer<DeviceSignIn> change,
            String done) {
        Optional<DeviceSignIn> here = people.signIn(request);
        if (here.isEmpty()) {
            return new ModelAndView("redirect:/sign-in");
        }
        if (problems.isEmpty() && !people.knows(here.get(), known)) {
            problems.put("known", "That is not your password.");
        }
        if (problems.isEmpty()) {
            change.accept(here.get());
        }
        return mine(here.get(), problems, problems.isEmpty() ? done : "", request);
    }

    @PostMapping("/me/password")
    ModelAndView password(
            @RequestParam(defaultValue = "") String known,
            @RequestParam(defaultValue = "") String password,
            HttpServletRequest request) {
        Map<String, String> problems = new LinkedHashMap<>();
        Secrets.problem(password, Acting.person()).ifPresent(problem -> problems.put("password", problem));
        return changing(
                request,
                known,
                problems,
                here -> people.password(here, password),
                "Your password is changed. Every other device of yours is signed out.");
    }

    @PostMapping("/me/pin")
    ModelAndView pin(
            @RequestParam(defaultValue = "") String known,
            @RequestParam(defaultValue = "") String pin,
            HttpServletRequest request) {
        Map<String, String> problems = new LinkedHashMap<>();
        Secrets.pinProblem(pin).ifPresent(problem -> problems.put("pin", problem));
        return changing(request, known, problems, here -> people.pin(here, pin), "Your PIN is kept.");
    }

    @PostMapping("/me/devices/{device}/end")
    String end(@PathVariable long device, @RequestParam(defaultValue = "/me") String back) {
        people.end(device);
        return "redirect:" + ("/people".equals(back) ? "/people" : "/me");
    }
}
