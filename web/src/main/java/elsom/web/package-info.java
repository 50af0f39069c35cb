/** The application. One package a feature, by what the user does; features use each other only by their public types. */
@NullMarked
package elsom.web;

import org.jspecify.annotations.NullMarked;
