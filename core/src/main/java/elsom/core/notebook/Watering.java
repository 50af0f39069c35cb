package elsom.core.notebook;

import elsom.core.quantity.UnitOfMeasure;
import elsom.core.read.Box;
import elsom.core.read.Known;
import elsom.core.read.Read;
import elsom.core.read.Reader;
import elsom.core.read.Typed;
import elsom.core.trial.Given;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;

/**
 * Water or feed that a notebook says every pot got on a day.
 *
 * @param millilitres to each pot
 * @param feed what it was; empty for water
 */
public record Watering(LocalDate on, double millilitres, String feed) {
    private static final String ACCEPTED = "Accepted: 3 May 2026; 200 mL, or 3 May 2026; 200 mL; kelp feed 2 mL/L";

    /**
     * Reads "3 May 2026; 200 mL" a line; each that can't be read is told.
     *
     * @param problems what is wrong, by the number of the line
     */
    public static List<Watering> read(String text, LocalDate today, Map<Integer, String> problems) {
        List<Watering> all = new ArrayList<>();
        String[] typed = text.split("\\R");
        for (int i = 0; i < typed.length; i++) {
            if (!typed[i].isBlank()) {
                try {
                    all.add(line(Line.parts(typed[i]), today));
                } catch (IllegalArgumentException unreadable) {
                    problems.put(i + 1, String.valueOf(unreadable.getMessage()));
                }
            }
        }
        return all;
    }

    private static Watering line(List<String> parts, LocalDate today) {
        if (parts.size() < 2 || parts.size() > 3) {
            throw new IllegalArgumentException(
                    "a day, how much each pot got, and what, if it was no water. " + ACCEPTED);
        }
        Read day = Reader.read(Box.DATE, parts.get(0), Known.on(today));
        if (!(day instanceof Read.Value read && read.meaning() instanceof Read.Day on)) {
            throw new IllegalArgumentException(
                    "“" + parts.get(0) + "” is no day that is known; a watering of an unknown day"
                            + " is left out, what nobody knows stays unknown. " + ACCEPTED);
        }
        Typed amount = Typed.parse(parts.get(1), UnitOfMeasure.MILLILITRE);
        if (!(amount instanceof Typed.Understood understood)) {
            throw new IllegalArgumentException("“" + parts.get(1) + "”: "
                    + ((Typed.Refused) amount).problem().replaceAll("[.]$", "") + ". " + ACCEPTED);
        }
        double ml = understood.stored().value();
        if (ml < Given.LEAST_ML || ml > Given.MOST_ML) {
            throw new IllegalArgumentException("“" + parts.get(1) + "” is nothing that a pot is given. " + ACCEPTED);
        }
        return new Watering(on.date(), ml, parts.size() < 3 ? "" : parts.get(2));
    }
}
