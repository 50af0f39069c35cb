package elsom.web.findings;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import elsom.core.section.Chart;
import java.lang.reflect.Constructor;
import java.lang.reflect.RecordComponent;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Every chart has the script that it names. */
class ChartScriptsTest {
    private static final Path SCRIPTS = Path.of("src/main/resources/static/js/findings");

    static Stream<Class<?>> charts() {
        return new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("elsom.core").stream()
                        .filter(type -> type.isAssignableTo(Chart.class) && !type.isInterface())
                        .map(JavaClass::reflect);
    }

    private static Object empty(RecordComponent component) {
        return switch (component.getType().getName()) {
            case "int" -> 0;
            case "double" -> 0.0;
            case "boolean" -> false;
            default -> component.getType() == String.class ? "" : component.getType() == List.class ? List.of() : null;
        };
    }

    @ParameterizedTest
    @MethodSource("charts")
    void isDrawnByAModuleOfItsName(Class<?> chart) throws ReflectiveOperationException, java.io.IOException {
        RecordComponent[] components = chart.getRecordComponents();
        Constructor<?> made = chart.getDeclaredConstructor(
                Arrays.stream(components).map(RecordComponent::getType).toArray(Class<?>[]::new));
        made.setAccessible(true);
        String script = ((Chart) made.newInstance(
                        Arrays.stream(components).map(ChartScriptsTest::empty).toArray()))
                .script();
        assertThat(Files.readString(SCRIPTS.resolve(script + ".js"))).contains("export function draw(");
    }
}
