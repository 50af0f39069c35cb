package elsom.web.exchange;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The tables of a trial's or a shelf's data package, in the order they depend on each other. */
enum PackageFile {
    TRIAL(
            "trial",
            "question:string protocol:string zone:string start:datetime seed:string" + " stage:string? blind:boolean?"),
    CONTAINERS(
            "containers",
            "name:string shape:string outline:string depth_cm:number top_length_cm:number top_width_cm:number"
                    + " base_length_cm:number base_width_cm:number"),
    TREATMENTS(
            "treatments",
            "number:integer code:string name:string material:string kind:string control:string texture:string"
                    + " tint:string organic_matter:number prewetted:integer nitrogen:number? product_rate:number? dose:number?"),
    BENCHES(
            "benches",
            "number:integer name:string rows:integer columns:integer light:string door:string length_cm:number?"
                    + " depth_cm:number? light_map:string? influences:string? guarded:boolean?"),
    UNITS(
            "units",
            "code:string treatment:integer replicate:integer container:string filled_volume_ml:number block:integer"
                    + " bench:integer row:integer column:integer"),
    ENDPOINTS(
            "endpoints",
            "code:string name:string unit:string counting:string size:integer lowest:number highest:number"
                    + " decimals:integer read_of:string?"),
    LOOKS("looks", "number:integer name:string after_start_s:integer endpoints:string"),
    READINGS(
            "readings",
            "id:integer unit:string look:integer endpoint:string sub_reading:integer value:number typed:string"
                    + " typed_unit:string taken_at:datetime recorded_at:datetime station:string instrument:string"
                    + " supersedes:integer reason:string person:string?"),
    MISHAPS(
            "mishaps",
            "number:integer kind:string note:string units:string look:integer happened_at:datetime station:string"
                    + " withdrawn_at:datetime"),
    GIVEN(
            "given",
            "number:integer kind:string what:string unit:string millilitres:number happened_at:datetime station:string"
                    + " withdrawn_at:datetime"),
    TURNS("turns", "number:integer turned_at:datetime station:string"),
    SECOND_SCORES(
            "second_scores", "unit:string look:integer endpoint:string station:string score:number scored_at:datetime"),
    SKIPS("skips", "look:integer endpoint:string reason:string skipped_at:datetime station:string"),
    AMENDMENTS("amendments", "number:integer at:datetime station:string reason:string changes:string"),
    QUARANTINE(
            "quarantine",
            "lot:string reason:string since:datetime station:string gone_to:string lifted_at:datetime"
                    + " lifted_why:string"),
    LOTS(
            "lots",
            "name:string material:string kind:string received:date source:string prepared:string cautions:string"
                    + " recipe:string"),
    LOT_FIGURES(
            "lot_figures", "lot:string property:string value:number origin:string said:string on:date depth_cm:number"),
    USES(
            "uses",
            "code:string name:string depth_cm:number why:string property:string least:number least_ok:number"
                    + " most_ok:number most:number below:string above:string");

    /** What a trial's package holds. */
    static final List<PackageFile> OF_TRIAL =
            Arrays.stream(values()).filter(file -> file != USES).toList();

    /** What a shelf's package holds. */
    static final List<PackageFile> OF_SHELF = List.of(LOTS, LOT_FIGURES, USES, QUARANTINE);

    /** Files that tell what every unit of a trial got. */
    static final List<PackageFile> TELLING_WHO_GOT_WHAT = List.of(TREATMENTS, UNITS);

    /** Files that stay sealed while a trial is blind: these, and its own line, since all places can be drawn again from its seed. */
    static final List<PackageFile> HIDDEN_WHILE_BLIND = List.of(TRIAL, TREATMENTS, UNITS);

    private final PackageTable table;

    PackageFile(String name, String columns) {
        this.table = PackageTable.of(name, columns);
    }

    PackageTable table() {
        return table;
    }

    String path() {
        return table.path();
    }

    List<String> columnNames() {
        return table.columnNames();
    }

    List<String> requiredNames() {
        return table.requiredNames();
    }

    /** Whether a package without this file is whole: it came later than the others. */
    boolean optional() {
        return this == GIVEN
                || this == TURNS
                || this == SECOND_SCORES
                || this == SKIPS
                || this == AMENDMENTS
                || this == QUARANTINE
                || this == LOTS
                || this == LOT_FIGURES;
    }

    static Optional<PackageFile> at(String path) {
        return Arrays.stream(values()).filter(file -> file.path().equals(path)).findFirst();
    }
}
