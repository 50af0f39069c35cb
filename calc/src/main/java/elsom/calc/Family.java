package elsom.calc;

import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** A kind of case that bin/calc works out. To add one: write a class and put it in the list in {@link Calc}. */
interface Family {
    /** The name that cases give. */
    String name();

    /**
     * Works a case out.
     *
     * @throws BadInput if the input is missing something or can't be true
     */
    ObjectNode work(JsonNode input);
}
