package elsom.web.plan;

import elsom.core.design.LayoutKind;
import elsom.core.plan.Arrangement;
import elsom.core.plan.Plan;
import elsom.core.plan.Rules;
import elsom.core.plan.Site;
import elsom.core.quantity.Decimals;
import elsom.core.quantity.UnitOfMeasure;
import elsom.core.trial.Bench;
import elsom.core.trial.Influence;
import elsom.core.trial.LightMap;
import elsom.core.trial.Side;
import elsom.core.trial.Treatment;
import elsom.web.trial.Seeds;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Locale;
import java.util.Set;

/** Where units stand, and how places are drawn. */
final class BenchPart implements PartOfForm {
    static final String SITES = "sites";
    private static final int MOST_INFLUENCES = 12;

    @Override
    public Form of(Plan plan) {
        Arrangement a = plan.arrangement();
        Form.UnitFill filling = new Form.UnitFill()
                .put("kind", a.kind())
                .put("spread", a.everySite() ? "every" : "share")
                .put("wholePlot", a.wholePlotFactor())
                .put("rotate", a.rotateEveryDays() == 0 ? "" : a.rotateEveryDays())
                .put("seed", a.secret() ? "" : a.seed())
                .tick("guards", a.guards())
                .tick("blind", plan.rules().blind());
        for (int i = 0; i < a.sites().size(); i++) {
            Site site = a.sites().get(i);
            filling.put(SITES, i, "name", site.name())
                    .put(SITES, i, "length", size(site.lengthCm()))
                    .put(SITES, i, "depth", size(site.depthCm()))
                    .put(SITES, i, "light", site.light())
                    .put(SITES, i, "door", site.door())
                    .put(SITES, i, "ppfd", site.lightMap().text().replace("; ", "\n"))
                    .put(
                            SITES,
                            i,
                            "influences",
                            Influence.text(site.influences()).replace("; ", "\n"));
        }
        return filling.form();
    }

    private static String size(double cm) {
        return cm == 0 ? "" : Decimals.upTo(cm, 1) + " cm";
    }

    @Override
    public Plan read(Form form, Plan plan, Problems problems) {
        Arrangement before = plan.arrangement();
        List<Site> sites = sites(form, problems);
        int rotate = problems.whole(
                "rotate",
                form.text("rotate"),
                0,
                365,
                0,
                "Whole days from 1 to 365, or nothing for never. Accepted: 7.");
        boolean blind = form.ticked("blind");
        long seed = blind
                ? plan.rules().blind() ? before.seed() : Seeds.fresh(true)
                : seed(form.text("seed"), before.seed(), problems);
        LayoutKind kind = Problems.choice(LayoutKind.class, form.text("kind"), before.kind());
        int wholePlot = problems.whole("wholePlot", form.text("wholePlot"), 0, 3, 0, "Choose a factor.");
        if (!problems.none()) {
            return plan;
        }
        Arrangement asked = new Arrangement(
                kind,
                before.replicates(),
                sites,
                !form.text("spread").equals("share"),
                wholePlot,
                form.ticked("guards"),
                rotate,
                seed,
                before.moves());
        // What was moved by hand belongs to the draw it was moved in.
        boolean sameDraw = asked.equals(new Arrangement(
                before.kind(),
                before.replicates(),
                before.sites(),
                before.everySite(),
                before.wholePlotFactor(),
                before.guards(),
                rotate,
                before.seed(),
                before.moves()));
        Rules rules = plan.rules();
        Plan changed = plan.with(sameDraw ? asked : asked.drawnFrom(seed))
                .with(new Rules(rules.watering(), rules.refillFraction(), blind, rules.ending()));
        if (plan.treatments().size() > 0) {
            changed.layoutProblem().ifPresent(problem -> problems.add("kind", problem));
        }
        return changed;
    }

    private static long seed(String text, long before, Problems problems) {
        if (text.isEmpty()) {
            return before;
        }
        try {
            return Long.parseLong(text.replace('−', '-'));
        } catch (NumberFormatException notWhole) {
            problems.add("seed", "A whole number that the places are drawn from. Accepted: 4711.");
            return before;
        }
    }

    private static List<Site> sites(Form form, Problems problems) {
        List<Site> sites = new ArrayList<>();
        Set<String> names = new HashSet<>();
        for (int i = 0; i < Math.min(form.lines(SITES), Site.MOST); i++) {
            String name =
                    problems.limited(Form.name(SITES, i, "name"), form.text(SITES, i, "name"), Treatment.LONGEST_NAME);
            if (name.isEmpty()) {
                continue;
            }
            if (!names.add(name.toLowerCase(Locale.ROOT))) {
                problems.add(Form.name(SITES, i, "name"), "Two benches are called “" + name + "”. Name one otherwise.");
            }
            sites.add(site(form, i, name, problems));
        }
        if (sites.isEmpty()) {
            problems.add("sites[0].name", "Where do they stand? Accepted: Sunny sill.");
        }
        return sites;
    }

    private static Site site(Form form, int i, String name, Problems problems) {
        String field = Form.name(SITES, i, "length");
        String ask = "Measured along and across, up to 100 m. Accepted: 180 cm, 70 in, or nothing.";
        double length = problems.amount(
                field, form.text(SITES, i, "length"), UnitOfMeasure.CENTIMETRE, 1, Bench.LARGEST_CM, 0, ask);
        double depth = problems.amount(
                field, form.text(SITES, i, "depth"), UnitOfMeasure.CENTIMETRE, 1, Bench.LARGEST_CM, 0, ask);
        if ((length > 0) != (depth > 0)) {
            problems.add(field, "Give both sizes, or none.");
        }
        LightMap light = problems.tried(Form.name(SITES, i, "ppfd"), () -> LightMap.parse(form.text(SITES, i, "ppfd")))
                .orElse(LightMap.NONE);
        List<Influence> influences = problems.tried(
                        Form.name(SITES, i, "influences"), () -> Influence.parse(form.text(SITES, i, "influences")))
                .orElse(List.of());
        if (influences.size() > MOST_INFLUENCES) {
            problems.add(Form.name(SITES, i, "influences"), "At most " + MOST_INFLUENCES + " lines.");
        }
        return new Site(
                name,
                length,
                depth,
                Problems.choice(Side.class, form.text(SITES, i, "light"), Side.TOP),
                Problems.choice(Side.class, form.text(SITES, i, "door"), Side.RIGHT),
                light,
                influences.stream().limit(MOST_INFLUENCES).toList());
    }
}
