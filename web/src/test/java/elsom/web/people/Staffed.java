package elsom.web.people;

import elsom.web.platform.Role;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/** People of every role in a store, once, and tokens of devices they are signed in on. */
final class Staffed {
    private Staffed() {}

    static void in(People people) {
        List<String> here = people.all().stream().map(Person::name).toList();
        for (PeopleTest.Staff one : PeopleTest.Staff.values()) {
            if (!here.contains(one.called())) {
                people.add(one.called(), one.role(), PeopleTest.PASSWORD);
            }
        }
    }

    /** A device for each role. */
    static Map<Role, String> devices(People people) {
        in(people);
        Map<Role, String> tokens = new EnumMap<>(Role.class);
        for (PeopleTest.Staff one : PeopleTest.Staff.values()) {
            tokens.put(
                    one.role(),
                    people.signIn(one.called(), PeopleTest.PASSWORD, "computer", "test")
                            .token());
        }
        return tokens;
    }
}
