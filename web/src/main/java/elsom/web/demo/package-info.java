/** The invented world of Harrow Fell Plug Yard, for trying Elsom out. */
@NullMarked
package elsom.web.demo;

import org.jspecify.annotations.NullMarked;
