package elsom.core.results;

import java.util.List;

/**
 * How alike stations scored the same units.
 *
 * @param rows one for each endpoint, look and second station
 * @param remarks how it was worked out, and what follows from it
 */
public record AgreementResult(List<Row> rows, List<String> remarks) {
    /**
     * Two stations at a look.
     *
     * @param n units that both scored
     * @param kappa weighted, with its 95 % interval
     * @param intraclass correlation, with its 95 % interval
     * @param difference the second's mean less the first's with its 95 % interval, or why nothing can be told
     */
    public record Row(
            String endpoint, String look, String stations, int n, String kappa, String intraclass, String difference) {}

    public AgreementResult {
        rows = List.copyOf(rows);
        remarks = List.copyOf(remarks);
    }
}
