/** Measures of one's own: capfuls, scoops and cans, and whose gallons are meant. */
package elsom.web.measure;
