package elsom.core.audit;

import java.util.List;

/** Looks at a trial for one way of being unfair. */
interface AuditRule {
    List<Fault> check(AuditCase trial);
}
