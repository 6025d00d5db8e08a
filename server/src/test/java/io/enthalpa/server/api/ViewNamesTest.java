package io.enthalpa.server.api;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClass;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The description of the API knows its shapes by their simple names: two alike would be told as one. */
class ViewNamesTest {
    @Test
    void noTwoViewsShareAName() {
        List<String> names = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests()).importPackages("io.enthalpa.server").stream()
                        .filter(c -> c.isRecord())
                        .map(JavaClass::getSimpleName)
                        .filter(name -> name.matches(".*(View|Answer|Request)"))
                        .toList();
        assertThat(names).hasSizeGreaterThan(50).doesNotHaveDuplicates();
    }
}
