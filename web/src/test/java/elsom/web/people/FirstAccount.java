package elsom.web.people;

import elsom.web.platform.Role;
import org.springframework.context.ApplicationContext;

/** What {@code bin/person add} does, in a store that is open. */
public final class FirstAccount {
    private FirstAccount() {}

    /** Adds who keeps, once. */
    public static void of(String name, String password, ApplicationContext application) {
        People people = application.getBean(People.class);
        if (people.all().stream().noneMatch(one -> one.name().equals(name))) {
            people.add(name, Role.KEEP, password);
        }
    }
}
