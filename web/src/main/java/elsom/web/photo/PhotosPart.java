package elsom.web.photo;

import elsom.core.trial.TrialId;
import elsom.core.trial.TrialRecord;
import elsom.core.trial.UnitCode;
import elsom.web.exchange.CsvTable;
import elsom.web.exchange.PackagePart;
import elsom.web.exchange.PackageTable;
import java.util.List;
import java.util.UUID;
import java.util.function.Consumer;
import java.util.stream.Stream;
import org.springframework.stereotype.Component;

/** Photos in a trial's zip: that each was taken, or taken away and why. The pictures themselves stay where they were taken. */
@Component
class PhotosPart implements PackagePart {
    private static final PackageTable PHOTOS = PackageTable.of(
            "photos",
            "unit:string look:integer taken_at:datetime station:string width:integer height:integer"
                    + " removed_at:datetime? removed_by:string? removed_reason:string?");
    private static final TrialId UNNUMBERED = new TrialId(0);

    private final PhotoMapper mapper;

    PhotosPart(PhotoMapper mapper) {
        this.mapper = mapper;
    }

    @Override
    public List<PackageTable> tables() {
        return List.of(PHOTOS);
    }

    @Override
    public Stream<List<?>> rows(TrialRecord record, PackageTable table) {
        return mapper.ofTrial(record.trial().id()).stream()
                .map(head -> PackageTable.cells(
                        head.unitCode(),
                        head.look(),
                        head.takenAt(),
                        head.station(),
                        head.width(),
                        head.height(),
                        head.removedAt(),
                        head.removedBy(),
                        head.removedReason()));
    }

    @Override
    public Consumer<TrialId> read(TrialRecord record, Rows rows) {
        List<PhotoMapper.Head> heads = rows.of(PHOTOS, PhotosPart::head);
        for (PhotoMapper.Head head : heads) {
            if (record.unit(head.unitCode()).isEmpty()
                    || record.look(head.look()).isEmpty()) {
                throw new IllegalArgumentException(
                        "photos.csv has a photo of " + head.unitCode() + " at look " + head.look() + ", which is none");
            }
        }
        return id -> {
            if (mapper.ofTrial(id).isEmpty()) {
                heads.forEach(
                        head -> mapper.insert(head.of(id), new byte[0], UUID.randomUUID(), new PhotoMapper.NewKey()));
            }
        };
    }

    private static PhotoMapper.Head head(CsvTable.Row row) {
        boolean removed = row.optional("removed_at").isPresent();
        return new PhotoMapper.Head(
                0,
                UNNUMBERED,
                new UnitCode(row.text("unit")),
                row.whole("look"),
                row.instant("taken_at"),
                row.text("station"),
                row.whole("width"),
                row.whole("height"),
                removed ? row.instant("removed_at") : null,
                row.optional("removed_by").orElse(null),
                row.optional("removed_reason").orElse(null),
                false);
    }
}
