package elsom.web.exchange;

import java.util.Arrays;
import java.util.List;
import java.util.Optional;

/** The tables of a trial's data package, in the order they depend on each other. */
enum PackageFile {
    TRIAL(
            "trial",
            "question:string protocol:string zone:string start:datetime watering:string refill_fraction:number seed:string"),
    CONTAINERS(
            "containers",
            "name:string shape:string outline:string depth_cm:number top_length_cm:number top_width_cm:number"
                    + " base_length_cm:number base_width_cm:number"),
    TREATMENTS(
            "treatments",
            "number:integer code:string name:string material:string kind:string control:string texture:string"
                    + " tint:string organic_matter:number prewetted:integer"),
    BENCHES("benches", "number:integer name:string rows:integer columns:integer light:string door:string"),
    UNITS(
            "units",
            "code:string treatment:integer replicate:integer container:string filled_volume_ml:number block:integer"
                    + " bench:integer row:integer column:integer"),
    ENDPOINTS(
            "endpoints",
            "code:string name:string unit:string counting:string size:integer lowest:number highest:number"
                    + " decimals:integer"),
    LOOKS("looks", "number:integer name:string after_start_s:integer endpoints:string"),
    READINGS(
            "readings",
            "id:integer unit:string look:integer endpoint:string sub_reading:integer value:number typed:string"
                    + " typed_unit:string taken_at:datetime recorded_at:datetime station:string instrument:string"
                    + " supersedes:integer reason:string"),
    MISHAPS(
            "mishaps",
            "number:integer kind:string note:string units:string look:integer happened_at:datetime station:string"
                    + " withdrawn_at:datetime");

    private final String table;
    private final List<Column> columns;

    /** A column and its type by the Table Schema standard. */
    record Column(String name, String type) {}

    PackageFile(String table, String columns) {
        this.table = table;
        this.columns = Arrays.stream(columns.split(" "))
                .map(column -> column.split(":"))
                .map(parts -> new Column(parts[0], parts[1]))
                .toList();
    }

    String table() {
        return table;
    }

    String path() {
        return table + ".csv";
    }

    List<Column> columns() {
        return columns;
    }

    List<String> columnNames() {
        return columns.stream().map(Column::name).toList();
    }

    static Optional<PackageFile> at(String path) {
        return Arrays.stream(values()).filter(file -> file.path().equals(path)).findFirst();
    }
}
