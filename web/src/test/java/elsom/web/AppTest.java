package elsom.web;

import java.lang.annotation.ElementType;
import java.lang.annotation.Inherited;
import java.lang.annotation.Retention;
import java.lang.annotation.RetentionPolicy;
import java.lang.annotation.Target;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;

/** The whole application on a free port, with a database file of its own. */
@Target(ElementType.TYPE)
@Retention(RetentionPolicy.RUNTIME)
@Inherited
@SpringBootTest(
        webEnvironment = WebEnvironment.RANDOM_PORT,
        properties = {"elsom.home=./target/it/${random.uuid}", "elsom.warm=false"})
public @interface AppTest {}
