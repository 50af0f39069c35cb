package elsom.core.next;

import java.util.Optional;

/** One sort of follow-up: proposed where a trial gives a reason for it. */
interface Proposer {
    Optional<Proposal> after(Ended trial);
}
