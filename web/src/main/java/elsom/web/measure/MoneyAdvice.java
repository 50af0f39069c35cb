package elsom.web.measure;

import org.springframework.beans.factory.ObjectProvider;
import org.springframework.web.bind.annotation.ControllerAdvice;
import org.springframework.web.bind.annotation.ModelAttribute;

/** Lets every page that shows money say in what. */
@ControllerAdvice
class MoneyAdvice {
    private final ObjectProvider<Measures> measures;

    MoneyAdvice(ObjectProvider<Measures> measures) {
        this.measures = measures;
    }

    /** Looked up only by a page that shows money. */
    @FunctionalInterface
    public interface Money {
        /** What money is in; empty while nobody said. */
        String getSign();

        /** A heading's unit with it: "€, a litre". */
        default String in(String unit) {
            String sign = getSign();
            return sign.isEmpty() ? unit : unit.isEmpty() ? sign : sign + ", " + unit;
        }

        /** What is counted in it: "Price of a kg, €". */
        default String of(String what) {
            return getSign().isEmpty() ? what : what + ", " + getSign();
        }
    }

    @ModelAttribute("currency")
    Money currency() {
        Measures known = measures.getIfAvailable();
        return () -> known == null ? "" : known.currency();
    }
}
