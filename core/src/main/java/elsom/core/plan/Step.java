package elsom.core.plan;

import elsom.core.quantity.Bounds;
import java.util.List;

/**
 * Levels of a factor beside another of its levels: "10 % beside none", at each level of the other factors and over all.
 *
 * @param factor its number, from 1
 * @param levels names of those asked about
 * @param beside name of the level they are held against
 */
public record Step(int factor, List<String> levels, String beside) {
    public Step {
        Bounds.count("a factor's number", factor, 1, Factor.MOST);
        levels = Bounds.list("levels", levels, 1, Factor.MOST_LEVELS);
        Bounds.name("a level", beside, Bounds.NAME);
        if (levels.contains(beside)) {
            throw new IllegalArgumentException("“" + beside + "” is held against itself. Accepted: another level");
        }
    }
}
