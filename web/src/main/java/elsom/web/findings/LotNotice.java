package elsom.web.findings;

import elsom.core.diagnosis.Cause;
import elsom.core.diagnosis.NextTest;
import elsom.core.diagnosis.Remedy;
import elsom.core.mix.Quarantine;
import elsom.core.protocol.seedling.BioassayResult;
import elsom.core.results.Findings;
import elsom.web.kit.Times;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;

/**
 * What is to be done about a lot that injures.
 *
 * @param kept whether it is in quarantine
 * @param reason what a quarantine from here would say
 * @param nextTitle what the next test is for
 * @param next the test that would part the likeliest causes; empty for none
 * @param how to do it; may be empty
 * @param plannable whether it is a trial, and not a meter's reading
 * @param further later trials that asked on
 */
public record LotNotice(
        String lot,
        boolean kept,
        String since,
        String goneTo,
        String reason,
        String nextTitle,
        String next,
        String how,
        boolean plannable,
        List<AskedFurther.Further> further,
        UUID token) {

    static List<LotNotice> of(
            Findings findings,
            List<Quarantine> quarantines,
            ZoneId zone,
            Function<String, List<AskedFurther.Further>> further) {
        return findings.sections(BioassayResult.class).stream()
                .filter(BioassayResult::injurious)
                .map(result -> of(
                        result,
                        quarantines.stream()
                                .filter(one -> one.stands() && one.lot().equalsIgnoreCase(result.lot()))
                                .findFirst(),
                        zone,
                        further.apply(result.lot())))
                .toList();
    }

    private static LotNotice of(
            BioassayResult result, Optional<Quarantine> kept, ZoneId zone, List<AskedFurther.Further> further) {
        Optional<NextTest> next = result.next();
        return new LotNotice(
                result.lot(),
                kept.isPresent(),
                kept.map(one -> Times.day(one.since(), zone)).orElse(""),
                kept.map(Quarantine::goneTo).orElse(""),
                "injured " + result.species().get(0).name()
                        + result.contaminant()
                                .map(Cause::label)
                                .map(cause -> "; " + cause + " is likely")
                                .orElse(""),
                result.contaminant().isPresent()
                        ? "What would test that best"
                        : "What would part the two likeliest causes",
                next.map(NextTest::words).map(LotNotice::upper).orElse(""),
                next.flatMap(NextTest::remedy).map(Remedy::how).orElse(""),
                next.filter(test -> test != NextTest.EC && test != NextTest.PH).isPresent(),
                further,
                UUID.randomUUID());
    }

    private static String upper(String words) {
        return Character.toUpperCase(words.charAt(0)) + words.substring(1);
    }
}
