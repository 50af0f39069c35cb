package elsom.web;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.lang.reflect.Field;
import java.util.List;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rules are found by a list: one that was written and not listed would be looked at by nobody, without a word. */
class ListedTest {
    @ParameterizedTest
    @CsvSource({
        "elsom.core.audit.AuditRule, elsom.core.audit.Audit, RULES",
        "elsom.core.flag.FlagRule, elsom.core.flag.Flags, RULES",
        "elsom.core.plan.check.PlanRule, elsom.core.plan.check.PlanCheck, RULES",
    })
    void everyRuleOfThePackageIsInItsList(String rule, String holder, String list) throws ReflectiveOperationException {
        Class<?> kind = Class.forName(rule);
        Field field = Class.forName(holder).getDeclaredField(list);
        field.setAccessible(true);
        List<String> listed = ((List<?>) field.get(null))
                .stream().map(one -> one.getClass().getName()).toList();
        List<String> written = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages(kind.getPackageName()).stream()
                        .filter(type -> type.isAssignableTo(kind) && !type.isInterface())
                        .map(JavaClass::getName)
                        .toList();
        assertThat(listed).doesNotHaveDuplicates().containsExactlyInAnyOrderElementsOf(written);
    }
}
