package elsom.core.sim;

/** What the scale answers when asked. */
public sealed interface ScaleReading {
    /** What its display shows. */
    String display();

    /** A steady weight, net of what it was tared with. */
    record Steady(String display, double grams) implements ScaleReading {}

    /** A weight that still moves. */
    record Moving(String display) implements ScaleReading {}

    /** More than it can weigh. */
    record Overload(String display) implements ScaleReading {}

    /** No answer at all. */
    record Silent(String display) implements ScaleReading {}
}
