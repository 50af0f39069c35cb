package elsom.core.audit;

import elsom.core.flag.FlagCode;
import java.util.List;
import java.util.stream.Stream;

/** A control that did not show what this kind of trial needs of it. */
final class FailedControl implements AuditRule {
    @Override
    public List<Fault> check(AuditCase trial) {
        return Stream.concat(
                        trial.findings().flags().stream(),
                        trial.questions().stream().flatMap(question -> question.flags().stream()))
                .filter(flag -> flag.code() == FlagCode.CONTROL_FAILED)
                .distinct()
                .map(flag -> Fault.of(FaultCode.CONTROL_FAILED, Grade.UNFAIR, flag.seen(), flag.why(), flag.next()))
                .toList();
    }
}
