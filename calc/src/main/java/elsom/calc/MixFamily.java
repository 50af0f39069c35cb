package elsom.calc;

import elsom.core.mix.CheapestMix;
import elsom.core.mix.MixPart;
import elsom.core.mix.MixWindow;
import elsom.core.mix.Property;
import elsom.core.stats.Outcome;
import java.util.EnumMap;
import java.util.Map;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.node.ObjectNode;

/** {@code mix}: the cheapest mix in its windows, or the window that rules it out. */
final class MixFamily implements Family {
    @Override
    public String name() {
        return "mix";
    }

    @Override
    public ObjectNode work(JsonNode input) {
        try {
            Outcome<CheapestMix> found = CheapestMix.of(
                    Inputs.list(input, "parts").stream().map(MixFamily::part).toList(),
                    Inputs.list(input, "windows").stream()
                            .map(MixFamily::window)
                            .toList());
            ObjectNode answer = Answers.object();
            found.whyNot().ifPresent(why -> answer.put("identifiable", false).put("reason", why));
            found.asOptional().ifPresent(mix -> {
                answer.put("price", mix.price()).put("text", mix.text());
                ObjectNode shares = answer.putObject("shares");
                mix.shares().forEach(shares::put);
                ObjectNode predicted = answer.putObject("predicted");
                mix.predicted().forEach((property, value) -> predicted.put(property.code(), value));
            });
            return answer;
        } catch (IllegalArgumentException impossible) {
            throw new BadInput(String.valueOf(impossible.getMessage()));
        }
    }

    private static MixPart part(JsonNode part) {
        Map<Property, Double> properties = new EnumMap<>(Property.class);
        for (Property property : Property.mixing()) {
            Inputs.optionalNumber(part, property.code()).ifPresent(value -> properties.put(property, value));
        }
        return new MixPart(
                Inputs.text(part, "name"),
                properties,
                Inputs.optionalNumber(part, "price").orElse(0),
                Inputs.optionalNumber(part, "least").orElse(0),
                Inputs.optionalNumber(part, "most").orElse(1));
    }

    private static MixWindow window(JsonNode window) {
        String code = Inputs.text(window, "property");
        Property property = Property.called(code)
                .filter(Property.mixing()::contains)
                .orElseThrow(() ->
                        new BadInput("“" + code + "” is no property; known are water, air, density, ec, nitrogen"));
        return new MixWindow(
                property,
                Inputs.optionalNumber(window, "low").orElse(0),
                Inputs.optionalNumber(window, "high").orElse(property.most()));
    }
}
