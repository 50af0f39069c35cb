package elsom.web.trial;

import elsom.core.protocol.Protocol;
import elsom.core.protocol.Protocols;
import elsom.core.trial.LookState;
import elsom.core.trial.Standing;
import elsom.core.trial.Texture;
import elsom.core.trial.Tint;
import elsom.core.trial.Treatment;
import elsom.core.trial.TrialId;
import elsom.web.kit.SmallBar;
import elsom.web.kit.Swatch;
import elsom.web.kit.TimeBar;
import elsom.web.kit.Times;
import java.time.Duration;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * A page of the list of trials.
 *
 * @param total how many were found in all
 * @param pages how many pages that makes
 * @param kinds of trials that there are
 * @param years in which trials began
 */
record TrialsPage(
        List<Line> trials,
        List<TrialLists.CantBeRead> unreadable,
        Wanted wanted,
        int total,
        int page,
        int pages,
        List<Kind> kinds,
        List<Integer> years) {
    static final int A_PAGE = 50;
    private static final int MOST_CHIPS = 6;
    private static final double SECONDS = 3600;

    /** A kind of trial by name. */
    record Kind(String code, String name) {}

    /**
     * One trial.
     *
     * @param bar its looks; null where it has none
     * @param answer its first answer; null before there is one
     * @param more treatments that are not named
     * @param href where somebody goes on with it
     */
    record Line(
            long id,
            String question,
            String about,
            String state,
            boolean due,
            @Nullable SmallBar bar,
            AnswerLines.@Nullable Line answer,
            List<Swatch> chips,
            int more,
            String href) {}

    static TrialsPage of(TrialLists lists, Answers answers, Wanted wanted, int page, Instant now) {
        int shown = Math.max(1, Math.min(page, 1_000_000));
        TrialLists.Found found = lists.search(wanted, (shown - 1) * A_PAGE, A_PAGE);
        Map<TrialId, AnswerLines.Line> told = answers.of(found.trials());
        List<DigestMapper.Kept> kept = lists.kept();
        return new TrialsPage(
                found.trials().stream()
                        .map(digest -> line(digest, told.get(digest.id()), now))
                        .toList(),
                lists.unreadable(),
                wanted,
                found.inAll(),
                shown,
                (found.inAll() + A_PAGE - 1) / A_PAGE,
                kept.stream()
                        .map(DigestMapper.Kept::protocol)
                        .distinct()
                        .flatMap(code -> Protocols.find(code).stream())
                        .map(protocol -> new Kind(protocol.code().value(), protocol.name()))
                        .sorted(Comparator.comparing(Kind::name))
                        .toList(),
                kept.stream().map(DigestMapper.Kept::year).distinct().toList());
    }

    /** Whether it is searched by more than words. */
    public boolean narrowed() {
        return !wanted.all();
    }

    /** Textures of as many treatments as a trial can have chips of. */
    public List<Swatch> textures() {
        return IntStream.rangeClosed(1, MOST_CHIPS)
                .mapToObj(number -> chip(number, ""))
                .toList();
    }

    private static Line line(Digest digest, AnswerLines.@Nullable Line answer, Instant now) {
        Standing standing = digest.standing();
        LookState state = standing.state(now);
        Standing.Next next = standing.next();
        List<String> names = digest.treatments();
        String kind = Protocols.find(digest.protocol()).map(Protocol::name).orElse("");
        return new Line(
                digest.id().value(),
                digest.question(),
                Stream.of(kind, digest.units() + " units", Times.day(digest.start(), digest.zone()))
                        .filter(part -> !part.isEmpty())
                        .collect(Collectors.joining(" · ")),
                TimeBar.summary(standing, digest.start(), digest.zone(), now),
                state == LookState.DUE || state == LookState.LATE,
                digest.looks().isEmpty()
                        ? null
                        : SmallBar.of(
                                digest.looks(),
                                next == null ? 0 : next.number(),
                                state,
                                Duration.between(digest.start(), now).toSeconds() / SECONDS),
                answer == null || answer.words().isEmpty() ? null : answer,
                IntStream.rangeClosed(1, Math.min(MOST_CHIPS, names.size()))
                        .mapToObj(number -> chip(number, names.get(number - 1)))
                        .toList(),
                Math.max(0, names.size() - MOST_CHIPS),
                "/trials/" + digest.id());
    }

    private static Swatch chip(int number, String name) {
        return new Swatch(
                number, Treatment.codeFor(number), name, Texture.forTreatment(number), Tint.forTreatment(number));
    }
}
