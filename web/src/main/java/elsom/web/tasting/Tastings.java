package elsom.web.tasting;

import elsom.core.panel.Tasted;
import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Tastings of a trial's produce. Answers are kept one by one; who is done can't answer again. */
@Repository
public class Tastings {
    private final TastingMapper mapper;
    private final Clock clock;

    Tastings(TastingMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    /**
     * A tasting with what was answered so far.
     *
     * @param answers of each taster by the plate's place from 0, also of those who are not done
     * @param revealedAt when its codes were told before all were done; null while it is blind
     */
    public record Session(
            TrialId trial,
            int number,
            Tasting tasting,
            Map<Integer, Map<Integer, Double>> answers,
            Instant begunAt,
            @Nullable Instant revealedAt) {
        public Tasted tasted() {
            return new Tasted(tasting, answers);
        }

        Map<Integer, Double> of(int taster) {
            return answers.getOrDefault(taster, Map.of());
        }

        boolean done(int taster) {
            return of(taster).size() == tasting.kind().answers(tasting.samples().size());
        }

        /** Codes are told when all are done, or somebody said so. */
        boolean open() {
            return revealedAt != null || tasted().done() == tasting.tasters();
        }

        /** The first who is not done; 0 when all are. */
        int next() {
            for (int taster = 1; taster <= tasting.tasters(); taster++) {
                if (!done(taster)) {
                    return taster;
                }
            }
            return 0;
        }
    }

    /** Begins a tasting, once for its token. */
    @Transactional
    public int begin(TrialId trial, Tasting tasting, String station, UUID token) {
        var before = mapper.begun(token);
        if (before.isPresent()) {
            return before.get().number();
        }
        int number = mapper.of(trial).stream()
                        .mapToInt(TastingMapper.Row::number)
                        .max()
                        .orElse(0)
                + 1;
        mapper.insert(new TastingMapper.Row(
                trial,
                number,
                tasting.kind(),
                String.join("\n", tasting.samples()),
                tasting.tasters(),
                tasting.seed(),
                token,
                clock.instant(),
                station,
                null));
        return number;
    }

    /** The tastings of a trial, the latest first. */
    @Transactional(readOnly = true)
    public List<Session> of(TrialId trial) {
        return mapper.of(trial).stream().map(this::session).toList();
    }

    @Transactional(readOnly = true)
    public Session session(TrialId trial, int number) {
        return mapper.find(trial, number)
                .map(this::session)
                .orElseThrow(() -> new NotFound(
                        "Trial " + trial + " has no tasting " + number + ".",
                        "/trials/" + trial + "/tasting",
                        "Its tastings"));
    }

    private Session session(TastingMapper.Row row) {
        Map<Integer, Map<Integer, Double>> answers = new LinkedHashMap<>();
        mapper.answers(row.trialId(), row.number())
                .forEach(answer -> answers.computeIfAbsent(answer.taster(), taster -> new LinkedHashMap<>())
                        .put(answer.place(), answer.answer()));
        return new Session(
                row.trialId(),
                row.number(),
                new Tasting(row.kind(), List.of(row.samples().split("\n")), row.tasters(), row.seed()),
                answers,
                row.begunAt(),
                row.revealedAt());
    }

    /**
     * Keeps an answer about one plate; of the last plates to rank there is only one place left, which is given too.
     *
     * @param place of the plate on the tray, from 0
     */
    @Transactional
    public void answer(TrialId trial, int number, int taster, int place, double answer) {
        Session session = session(trial, number);
        int plates = session.tasting().kind() == Tasting.Kind.TRIANGLE
                ? 3
                : session.tasting().samples().size();
        boolean scored = session.tasting().kind() != Tasting.Kind.LIKING || (answer >= 1 && answer <= 9);
        if (taster < 1 || taster > session.tasting().tasters() || place < 0 || place >= plates || !scored) {
            throw new Refusal("This tasting has no such plate or taster. Reload the page.");
        }
        if (session.done(taster)) {
            throw new Refusal("Taster " + taster + " is done already. Hand the phone on.");
        }
        boolean ranking = session.tasting().kind() == Tasting.Kind.RANKING;
        Map<Integer, Double> given = session.of(taster);
        if (ranking && given.containsKey(place)) {
            throw new Refusal("That plate has its place already. Choose among those that are left.");
        }
        double kept = session.tasting().kind() == Tasting.Kind.LIKING ? answer : ranking ? given.size() + 1 : 1;
        mapper.answer(trial, number, taster, place, kept, clock.instant());
        if (ranking && given.size() + 2 == plates) {
            for (int last = 0; last < plates; last++) {
                if (last != place && !given.containsKey(last)) {
                    mapper.answer(trial, number, taster, last, plates, clock.instant());
                }
            }
        }
    }

    /** Takes a taster's answers back while nothing was told yet, so that a slip of the thumb is no vote. */
    @Transactional
    public void again(TrialId trial, int number, int taster) {
        Session session = session(trial, number);
        if (session.open()) {
            throw new Refusal("The codes of this tasting are told: nothing can be tasted blind any more.");
        }
        session.of(taster).keySet().forEach(place -> mapper.takeBack(trial, number, taster, place));
    }

    @Transactional
    public void reveal(TrialId trial, int number) {
        session(trial, number);
        mapper.reveal(trial, number, clock.instant());
    }
}
