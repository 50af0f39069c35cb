package elsom.core.practice;

/**
 * What is true on one bench.
 *
 * @param right what can rightly be said
 * @param size of what is asked about, in the terms of the level; 0 when there is nothing
 * @param words the truth as a sentence
 */
public record Truth(Call right, double size, String words) {}
