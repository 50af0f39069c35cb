package elsom.core.next;

import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/** What to try next: at most three trials, the most telling for a unit of bench and an hour first. */
public final class WhatNext {
    /** More than that is no advice. */
    public static final int MOST = 3;

    private static final List<Proposer> PROPOSERS = List.of(
            new Drawn(),
            new Split(),
            new Sharper(),
            new Bracket(),
            new Longer(),
            new Blinded(),
            new Again(),
            new Elsewhere());

    private WhatNext() {}

    /** All that a trial gives a reason for, the most telling first. */
    private static List<Proposal> all(Ended trial) {
        return PROPOSERS.stream()
                .flatMap(proposer -> proposer.after(trial).stream())
                .sorted(Comparator.comparing(Proposal::worth).reversed())
                .toList();
    }

    public static List<Proposal> after(Ended trial) {
        return all(trial).stream().limit(MOST).toList();
    }

    /** One of a kind; empty where the trial gives no reason for it any more. */
    public static Optional<Proposal> after(Ended trial, String code) {
        return all(trial).stream()
                .filter(proposal -> proposal.kind().code().equals(code))
                .findFirst();
    }
}
