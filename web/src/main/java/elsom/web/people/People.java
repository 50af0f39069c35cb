package elsom.web.people;

import elsom.web.platform.Acting;
import elsom.web.platform.Actor;
import elsom.web.platform.DeviceCookie;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import elsom.web.platform.Role;
import elsom.web.platform.SignIns;
import elsom.web.platform.Tokens;
import elsom.web.platform.Tries;
import jakarta.servlet.http.HttpServletRequest;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.stereotype.Component;
import org.springframework.transaction.annotation.Transactional;

/** Accounts and who is signed in on which device. */
@Component
class People implements SignIns {
    /** The cookie that says which device it is. */
    static final String COOKIE = "elsom-sign-in";

    static final Duration LASTS = Duration.ofDays(14);
    static final Duration IDLE = Duration.ofHours(18);
    static final Duration INVITED = Duration.ofDays(3);

    private static final Logger LOG = LoggerFactory.getLogger(People.class);
    private static final String HOME = "/people";
    private static final String BACK = "To the people";
    private static final int PASSWORDS = 6;
    private static final int ADDRESSES = 30;
    private static final int PINS = 5;
    private static final Duration WITHIN = Duration.ofMinutes(15);

    /** No page needs to know to the second when a device was last there. */
    private static final Duration SEEN_EVERY = Duration.ofMinutes(1);

    private final PeopleMapper people;
    private final Clock clock;
    private final Tries byName = new Tries(PASSWORDS, WITHIN);
    private final Tries byAddress = new Tries(ADDRESSES, WITHIN);
    private volatile @Nullable Boolean any;

    People(PeopleMapper people, Clock clock) {
        this.people = people;
        this.clock = clock;
    }

    /**
     * What came of a try to get in.
     *
     * @param token opens the door; empty where it stays shut
     * @param problem why it does; empty where it opens
     */
    record Tried(String token, String problem) {
        static Tried in(String token) {
            return new Tried(token, "");
        }

        static Tried not(String problem) {
            return new Tried("", problem);
        }
    }

    @Override
    public boolean accounts() {
        Boolean known = any;
        if (known == null) {
            known = people.any();
            any = known;
        }
        return known;
    }

    @Override
    @Transactional
    public Optional<Actor> of(HttpServletRequest request) {
        return signIn(request).map(one -> new Actor(one.person(), one.allowed()));
    }

    /** The device that asks, if somebody signed in on it. */
    @Transactional
    public Optional<DeviceSignIn> signIn(HttpServletRequest request) {
        Instant now = clock.instant();
        Optional<DeviceSignIn> found = DeviceCookie.values(request, COOKIE)
                .findFirst()
                .flatMap(token -> people.signIn(Tokens.digest(token), now, now.minus(IDLE)));
        found.filter(one -> one.seenAt().isBefore(now.minus(SEEN_EVERY))).ifPresent(one -> people.seen(one.id(), now));
        return found;
    }

    /** Signs somebody in with a password; wrong ones are few within a time, by name and by address. */
    @Transactional
    public Tried signIn(String name, String password, String device, String address) {
        Optional<Duration> wait = byName.wait(name).or(() -> byAddress.wait(address));
        if (wait.isPresent()) {
            return Tried.not(later(wait.get()));
        }
        Optional<Person> person = people.named(name.strip());
        if (!Secrets.matches(password, person.map(Person::password))) {
            byName.count(name);
            byAddress.count(address);
            LOG.warn("a sign-in failed, from {}", address);
            return Tried.not("No account here has that name with that password.");
        }
        byName.forget(name);
        people.pinMisses(person.orElseThrow().id(), 0);
        return Tried.in(begin(person.get(), device));
    }

    private static String later(Duration wait) {
        return "That were too many tries. Try again in " + Math.max(1, (wait.toSeconds() + 59) / 60)
                + " min; whoever keeps Elsom here can make a new invitation.";
    }

    private String begin(Person person, String device) {
        String token = Tokens.fresh();
        Instant now = clock.instant();
        people.begin(
                Tokens.digest(token),
                person,
                device.length() <= 120 ? device : device.substring(0, 120),
                now,
                now.plus(LASTS));
        return token;
    }

    /** Puts another person at a device that somebody signed in on; empty when it is done, or why not. */
    @Transactional
    public Optional<String> change(DeviceSignIn device, String name, String pin) {
        Optional<Person> person = people.named(name.strip());
        if (person.isPresent() && person.get().pinMisses() >= PINS) {
            return Optional.of(person.get().name()
                    + "'s PIN was wrong too often. It works again once they signed in with a password.");
        }
        if (!Secrets.matches(pin, person.flatMap(one -> Optional.ofNullable(one.pin())))) {
            person.filter(one -> one.pin() != null).ifPresent(one -> people.pinMisses(one.id(), one.pinMisses() + 1));
            return Optional.of(
                    "That is not this person's PIN. Whoever has none yet signs in with a password and sets one.");
        }
        people.pinMisses(person.orElseThrow().id(), 0);
        people.change(device.id(), person.get());
        return Optional.empty();
    }

    /** Everybody, who left last. */
    @Transactional(readOnly = true)
    public List<Person> all() {
        return people.all();
    }

    @Transactional(readOnly = true)
    public Person named(String name) {
        return people.named(name).orElseThrow(() -> new NotFound("Nobody here is called " + name + ".", HOME, BACK));
    }

    @Transactional(readOnly = true)
    public List<DeviceSignIn> signIns() {
        Instant now = clock.instant();
        return people.signIns(now, now.minus(IDLE));
    }

    /** Ends what stands on a device: one's own, or anybody's for who keeps. */
    @Transactional
    public void end(long signIn) {
        DeviceSignIn one = signIns().stream()
                .filter(each -> each.id() == signIn)
                .findFirst()
                .orElseThrow(() -> new NotFound("Nobody is signed in there any more.", "/me", "To your account"));
        boolean own = one.owner().equals(Acting.person()) || one.person().equals(Acting.person());
        if (!own && !Acting.may(Role.KEEP)) {
            throw new Refusal("That is somebody else's device. Whoever keeps Elsom here can end it.");
        }
        people.end(signIn, clock.instant());
    }

    /**
     * Makes a link by which one person joins.
     *
     * @return what is in the link, which can't be had again
     */
    @Transactional
    public String invite(Role role) {
        String token = Tokens.fresh();
        Instant now = clock.instant();
        people.invite(Tokens.digest(token), role, Acting.person(), now, now.plus(INVITED));
        return token;
    }

    @Transactional(readOnly = true)
    public List<Invitation> invitations() {
        return people.invitations(clock.instant());
    }

    @Transactional(readOnly = true)
    public Invitation invitation(String token) {
        return people.invitation(Tokens.digest(token), clock.instant())
                .orElseThrow(() -> new NotFound(
                        "This invitation was used, withdrawn, or is over. Ask for a new one.", "/sign-in", "Sign in"));
    }

    @Transactional
    public void withdraw(long invitation) {
        if (people.withdraw(invitation, clock.instant()) == 0) {
            throw new NotFound("That invitation was used or withdrawn already.", HOME, BACK);
        }
    }

    /** Why a name can't be had; empty when it can. */
    Optional<String> nameProblem(String name) {
        String said = name.strip();
        if (said.isEmpty()
                || said.length() > Person.LONGEST_NAME
                || said.chars().anyMatch(Character::isISOControl)) {
            return Optional.of("A name has 1 to " + Person.LONGEST_NAME + " characters on one line. Accepted: Ida.");
        }
        return people.taken(said)
                ? Optional.of("“" + said + "” is taken, or was: what was signed with it stays theirs. Accepted: " + said
                        + " 2.")
                : Optional.empty();
    }

    /** Adds somebody who was invited, signed in at once. The link is used up then. */
    @Transactional
    public String join(String token, String name, String password, String device) {
        Invitation invitation = invitation(token);
        add(name.strip(), invitation.role(), password);
        if (people.used(invitation.id(), name.strip()) == 0) {
            throw new Refusal("This invitation was used meanwhile. Ask for a new one.");
        }
        return begin(named(name.strip()), device);
    }

    /** Adds somebody; from the first on everybody signs in. */
    @Transactional
    public void add(String name, Role role, String password) {
        people.add(name, role, Secrets.hash(password), clock.instant());
        any = true;
    }

    /** Gives somebody another role; somebody must be left who keeps. */
    @Transactional
    public void role(String name, Role role) {
        Person person = named(name);
        if (role != Role.KEEP) {
            anotherKeeps(person);
        }
        people.role(person.id(), role);
    }

    /** Closes an account: devices are signed out, and what it signed stays. */
    @Transactional
    public void leave(String name) {
        Person person = named(name);
        anotherKeeps(person);
        people.leave(person.id(), clock.instant());
        people.endAll(person.id(), -1, clock.instant());
    }

    private void anotherKeeps(Person person) {
        if (person.role() == Role.KEEP && people.othersWhoKeep(person.id()) == 0) {
            throw new Refusal(
                    person.name() + " is the only one who keeps Elsom here. Give somebody else that right first.");
        }
    }

    /** A new password; every other device of that person is signed out. */
    @Transactional
    public void password(DeviceSignIn here, String password) {
        people.password(here.personId(), Secrets.hash(password));
        people.endAll(here.personId(), here.id(), clock.instant());
    }

    /** Whether a password is this person's. */
    @Transactional(readOnly = true)
    public boolean knows(DeviceSignIn here, String password) {
        boolean right = byName.wait(here.person()).isEmpty()
                && Secrets.matches(password, people.of(here.personId()).map(Person::password));
        if (!right) {
            byName.count(here.person());
        }
        return right;
    }

    /** A PIN for benches where somebody is signed in. */
    @Transactional
    public void pin(DeviceSignIn here, String pin) {
        people.pin(here.personId(), Secrets.hash(pin));
    }
}
