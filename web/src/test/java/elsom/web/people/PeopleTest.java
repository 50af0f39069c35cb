package elsom.web.people;

import elsom.web.AppTest;
import elsom.web.platform.Role;
import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.test.context.TestPropertySource;

/** The whole application with a store of its own for tests that have accounts: others share one that has none. */
@AppTest
@TestPropertySource(properties = "elsom.build=people")
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@interface PeopleTest {
    /** What everybody here signs in with. */
    String PASSWORD = "four words without belonging";

    /** Somebody of each role; the first is there before any other. */
    enum Staff {
        KEEPER(Role.KEEP),
        PLANNER(Role.PLAN),
        MEASURER(Role.MEASURE),
        READER(Role.READ);

        private final Role role;

        Staff(Role role) {
            this.role = role;
        }

        Role role() {
            return role;
        }

        String called() {
            return switch (this) {
                case KEEPER -> "Ida";
                case PLANNER -> "Piet";
                case MEASURER -> "Mo";
                case READER -> "Rosa";
            };
        }
    }
}
