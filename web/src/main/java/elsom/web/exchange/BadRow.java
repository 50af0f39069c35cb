package elsom.web.exchange;

/**
 * A row of a file that can't be read in.
 *
 * @param file which file, for a package of several; empty for a single one
 * @param row as a spreadsheet numbers it: the header is row 1; 0 for the file as a whole
 * @param reason what is wrong, with the value, and what would be accepted
 */
public record BadRow(String file, long row, String reason) {
    /** Where in the file: "units.csv, row 3". */
    public String where() {
        return (file.isEmpty() ? "" : file + (row > 0 ? ", " : "")) + (row > 0 ? "row " + row : "");
    }
}
