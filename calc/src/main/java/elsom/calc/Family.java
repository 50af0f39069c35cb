package elsom.calc;

import tools.jackson.databind.JsonNode;

/** A kind of case that bin/calc works out. To add one: write a class and put it in the list in {@link Calc}. */
interface Family {
    /** The name that cases give. */
    String name();

    /**
     * Works a case out.
     *
     * @return a record of core, or an object by the names of the contract; {@link Answers#tree} writes either
     * @throws BadInput if the input is missing something or can't be true
     */
    Object work(JsonNode input);
}
