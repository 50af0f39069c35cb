package elsom.core.audit;

import elsom.core.figure.FigureKind;
import elsom.core.trial.EndpointCode;
import elsom.core.trial.UnitCode;
import java.util.List;
import java.util.Set;

/**
 * Something about how a trial was set up or run that weakens what it says.
 *
 * @param seen what was seen, with figures
 * @param why why it matters
 * @param pushes which way it could have pushed the result; empty where that can't be said
 * @param next what to do next time
 * @param units those it is about; empty when it is about the whole trial
 * @param about endpoints, or figures made of some, whose verdicts it touches; empty when it touches all
 */
public record Fault(
        FaultCode code,
        Grade grade,
        String seen,
        String why,
        String pushes,
        String next,
        List<UnitCode> units,
        List<FigureKind> about) {
    public Fault {
        units = List.copyOf(units);
        about = List.copyOf(about);
    }

    static Fault of(FaultCode code, Grade grade, String seen, String why, String next) {
        return new Fault(code, grade, seen, why, "", next, List.of(), List.of());
    }

    Fault pushing(String way) {
        return new Fault(code, grade, seen, why, way, next, units, about);
    }

    Fault at(List<UnitCode> which) {
        return new Fault(code, grade, seen, why, pushes, next, which, about);
    }

    Fault of(FigureKind kind) {
        return new Fault(code, grade, seen, why, pushes, next, units, List.of(kind));
    }

    Fault of(AuditCase trial, Set<EndpointCode> endpoints) {
        List<FigureKind> kinds = trial.record().endpoints().stream()
                .filter(endpoint -> endpoints.contains(endpoint.code()))
                .map(FigureKind::of)
                .toList();
        return new Fault(code, grade, seen, why, pushes, next, units, kinds);
    }

    /** Whether it touches what is said of an endpoint. */
    public boolean touches(EndpointCode endpoint) {
        return about.isEmpty() || about.stream().anyMatch(kind -> kind.code().equals(endpoint.value()));
    }
}
