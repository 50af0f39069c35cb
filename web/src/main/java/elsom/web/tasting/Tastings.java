package elsom.web.tasting;

import elsom.core.panel.Round;
import elsom.core.panel.Tasted;
import elsom.core.panel.Tasting;
import elsom.core.trial.TrialId;
import elsom.web.events.Events;
import elsom.web.events.TrialEvent;
import elsom.web.kit.Times;
import elsom.web.platform.NotFound;
import elsom.web.platform.Refusal;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneId;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Repository;
import org.springframework.transaction.annotation.Transactional;

/** Tastings of a trial's produce. Answers are kept one by one; who is done can't answer again. */
@Repository
public class Tastings {
    private final TastingMapper mapper;
    private final Events events;
    private final Clock clock;

    Tastings(TastingMapper mapper, Events events, Clock clock) {
        this.mapper = mapper;
        this.events = events;
        this.clock = clock;
    }

    /**
     * A tasting with what was answered so far.
     *
     * @param revealedAt when its codes were told before all were done; null while it is blind
     * @param handedOn tasters after whom the phone was handed on: what they said stands
     * @param told what was done besides tasting, in sentences
     */
    public record Session(
            TrialId trial,
            int number,
            Round round,
            Instant begunAt,
            @Nullable Instant revealedAt,
            Set<Integer> handedOn,
            List<String> told) {
        public Session {
            handedOn = Set.copyOf(handedOn);
            told = List.copyOf(told);
        }

        public Tasting tasting() {
            return round.tasting();
        }

        public Tasted tasted() {
            return round.tasted();
        }

        /** Codes are told when all are done, or somebody said so. */
        boolean open() {
            return revealedAt != null || round.allDone();
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
                new Round(row.tasting(), answers),
                row.begunAt(),
                row.revealedAt(),
                handedOn(row),
                told(row));
    }

    private Set<Integer> handedOn(TastingMapper.Row row) {
        String before = row.number() + "/";
        return events.of(row.trialId(), TrialEvent.Kind.HANDED_ON).stream()
                .filter(event -> event.about().startsWith(before))
                .map(event -> Integer.valueOf(event.about().substring(before.length())))
                .collect(Collectors.toSet());
    }

    private List<String> told(TastingMapper.Row row) {
        ZoneId here = ZoneId.systemDefault();
        Stream<String> codes = events.of(row.trialId(), TrialEvent.Kind.CODES_TOLD).stream()
                .filter(event -> event.about().equals(String.valueOf(row.number())))
                .map(event -> "The codes were told " + Times.dayAndTime(event.at(), here) + " by " + event.station()
                        + ", when " + event.was() + " were done.");
        Stream<String> again = events.of(row.trialId(), TrialEvent.Kind.BEGUN_AGAIN).stream()
                .filter(event -> event.about().startsWith(row.number() + "/"))
                .map(event -> "Taster " + event.about().substring((row.number() + "/").length()) + " began again "
                        + Times.dayAndTime(event.at(), here) + ", before the phone was handed on.");
        return Stream.concat(codes, again).toList();
    }

    /**
     * Keeps an answer about one plate.
     *
     * @param place of the plate on the tray, from 0
     * @throws Refusal if it can't be answered
     */
    @Transactional
    public void answer(TrialId trial, int number, int taster, int place, double answer) {
        Map<Integer, Double> kept;
        Session session = session(trial, number);
        if (session.revealedAt() != null) {
            throw new Refusal(
                    "The codes of this tasting are told, so what is said now would not be blind. It was not kept.");
        }
        try {
            kept = session.round().answering(taster, place, answer);
        } catch (IllegalArgumentException impossible) {
            throw new Refusal(String.valueOf(impossible.getMessage()));
        }
        kept.forEach((plate, value) -> mapper.answer(trial, number, taster, plate, value, clock.instant()));
    }

    /** The phone goes on to the next: from now on what this taster said stands. */
    @Transactional
    public void handOn(TrialId trial, int number, int taster, String station) {
        Session session = session(trial, number);
        if (session.round().done(taster) && !session.handedOn().contains(taster)) {
            events.write(trial, TrialEvent.Kind.HANDED_ON, number + "/" + taster, "", station, "", UUID.randomUUID());
        }
    }

    /**
     * Takes a taster's answers back while nothing was told yet and the phone is still in their hand, so that a slip of the
     * thumb is no vote, and nobody wipes another's.
     */
    @Transactional
    public void again(TrialId trial, int number, int taster, String station) {
        Session session = session(trial, number);
        if (session.handedOn().contains(taster)) {
            throw new Refusal("The phone was handed on: what taster " + taster + " said stands.");
        }
        if (session.open()) {
            throw new Refusal("The codes of this tasting are told: nothing can be tasted blind any more.");
        }
        Map<Integer, Double> given = session.round().of(taster);
        if (given.isEmpty()) {
            return;
        }
        events.write(
                trial,
                TrialEvent.Kind.BEGUN_AGAIN,
                number + "/" + taster,
                new TreeMap<>(given).toString(),
                station,
                "",
                UUID.randomUUID());
        given.keySet().forEach(place -> mapper.takeBack(trial, number, taster, place));
    }

    /** Tells the codes, once. */
    @Transactional
    public void reveal(TrialId trial, int number, String station) {
        Session session = session(trial, number);
        if (session.open()) {
            return;
        }
        events.write(
                trial,
                TrialEvent.Kind.CODES_TOLD,
                String.valueOf(number),
                session.tasted().done() + " of " + session.tasting().tasters(),
                station,
                "",
                UUID.randomUUID());
        mapper.reveal(trial, number, clock.instant());
    }
}
