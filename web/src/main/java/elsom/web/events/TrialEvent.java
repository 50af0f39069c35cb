package elsom.web.events;

import java.time.Instant;
import java.util.regex.Pattern;

/**
 * Something that was done, for good: what it changes is still told.
 *
 * @param number within the trial, from 1
 * @param about what it was done to: a brew's visit by its number, a tasting, a taster of one as {@code 2/7}; may be empty
 * @param was what stood there before; may be empty
 * @param reason may be empty where none is asked for
 */
public record TrialEvent(int number, Kind kind, String about, String was, Instant at, String station, String reason) {
    public static final int LONGEST_REASON = 160;
    static final int LONGEST_WAS = 4000;
    static final int LONGEST_ABOUT = 40;

    /** What can be done. */
    public enum Kind {
        /** A recipe after its brews were begun. */
        RECIPE_CORRECTED(""),
        /** A brew's end is none. */
        END_TAKEN_BACK("[0-9]{1,6}"),
        /** A tasting's codes before all were done. */
        CODES_TOLD("[0-9]{1,6}"),
        /** The phone, after a taster was done. */
        HANDED_ON("[0-9]{1,6}/[0-9]{1,4}"),
        /** A taster's answers were wiped, before the phone was handed on. */
        BEGUN_AGAIN("[0-9]{1,6}/[0-9]{1,4}");

        private final Pattern about;

        Kind(String about) {
            this.about = Pattern.compile(about);
        }

        /** Whether it can be done to what is named so. */
        boolean isOf(String named) {
            return about.matcher(named).matches();
        }
    }

    public TrialEvent {
        if (!kind.isOf(about)) {
            throw new IllegalArgumentException("“" + about + "” is nothing that " + kind + " is of");
        }
    }
}
