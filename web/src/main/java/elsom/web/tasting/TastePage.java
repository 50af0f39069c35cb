package elsom.web.tasting;

import elsom.core.panel.Tasting;
import java.util.ArrayList;
import java.util.List;

/**
 * The page on the phone that is handed round.
 *
 * @param taster whose turn it is; 0 when all are done
 * @param otherwise who else is not done, should this one rather not taste; 0 when nobody is
 * @param plates those still to be answered about
 * @param given answers so far
 */
record TastePage(
        String base,
        Tasting.Kind kind,
        int taster,
        int otherwise,
        int tasters,
        State state,
        List<PlateLine> plates,
        int given,
        int answers,
        String asks) {
    /** Where a taster is. */
    enum State {
        HAND_OVER,
        TASTING,
        DONE,
        HANDED_ON,
        ALL_DONE
    }

    /** A plate by its code and its place on the tray from 0. */
    record PlateLine(int code, int place) {}

    static TastePage of(Tastings.Session session, int taster, boolean ready) {
        Tasting tasting = session.tasting();
        boolean none = taster < 1 || taster > tasting.tasters();
        List<PlateLine> left = new ArrayList<>();
        List<Tasting.Plate> plates = none ? List.of() : tasting.served().get(taster - 1);
        for (int place = 0; place < plates.size(); place++) {
            if (!session.round().of(taster).containsKey(place)) {
                left.add(new PlateLine(plates.get(place).code(), place));
            }
        }
        int given = none ? 0 : session.round().of(taster).size();
        return new TastePage(
                "/trials/" + session.trial() + "/tasting/" + session.number(),
                tasting.kind(),
                none ? 0 : taster,
                none || session.round().after(taster) == taster
                        ? 0
                        : session.round().after(taster),
                tasting.tasters(),
                none
                        ? State.ALL_DONE
                        : session.round().done(taster)
                                ? session.handedOn().contains(taster) ? State.HANDED_ON : State.DONE
                                : ready || given > 0 ? State.TASTING : State.HAND_OVER,
                left,
                given,
                tasting.kind().answers(tasting.samples().size()),
                asks(tasting.kind(), given));
    }

    private static String asks(Tasting.Kind kind, int given) {
        return switch (kind) {
            case TRIANGLE -> "Two of these are the same. Which one is different? If you can’t tell, guess.";
            case PAIR -> "Which do you like better?";
            case RANKING -> given == 0 ? "Which do you like best?" : "Of those left: which do you like best?";
            case LIKING -> "How well do you like it?";
        };
    }
}
