package elsom.web.measure;

import elsom.core.read.Known;
import elsom.core.read.OwnMeasure;
import java.time.Clock;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** What readers know of who types here. */
@Service
public class Measures {
    private final MeasureMapper mapper;
    private final Clock clock;

    Measures(MeasureMapper mapper, Clock clock) {
        this.mapper = mapper;
        this.clock = clock;
    }

    public List<OwnMeasure> all() {
        return mapper.all().stream().map(MeasureMapper.Row::measure).toList();
    }

    Optional<Known.Gallons> gallons() {
        return mapper.gallons().stream().findFirst();
    }

    /** What a box that is typed into today is read by. */
    public Known known() {
        return new Known(
                LocalDate.now(clock.withZone(ZoneId.systemDefault())),
                gallons(),
                all().stream().collect(Collectors.toMap(OwnMeasure::word, OwnMeasure::size)));
    }

    /** What money is in, "€" or "CHF"; empty while nobody said. */
    public String currency() {
        return mapper.currency().orElse("");
    }

    void currencyIs(String sign) {
        if (sign.isEmpty()) {
            mapper.noCurrency();
        } else {
            mapper.currencyIs(sign);
        }
    }

    void keep(OwnMeasure measure) {
        mapper.keep(new MeasureMapper.Row(
                measure.word(), measure.size().value(), measure.size().unit(), measure.of()));
    }

    void remove(String word) {
        mapper.remove(word);
    }

    @Transactional
    void say(Optional<Known.Gallons> whose) {
        mapper.ask();
        whose.ifPresent(mapper::say);
    }
}
