package io.enthalpa.core.explain;

import static org.assertj.core.api.Assertions.assertThat;

import com.tngtech.archunit.core.domain.JavaClasses;
import com.tngtech.archunit.core.importer.ClassFileImporter;
import com.tngtech.archunit.core.importer.ImportOption;
import io.enthalpa.core.source.Method;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import org.junit.jupiter.api.Test;

class MethodsTest {
    private static final Path DOCUMENT = Path.of("..", "docs", "methods.md");

    /** Written from the code: run with {@code -Dupdate.methods=true} after changing a method. */
    @Test
    void documentSaysWhatTheCodeSays() throws IOException {
        if (Boolean.getBoolean("update.methods")) {
            Files.writeString(DOCUMENT, Methods.markdown());
        }
        assertThat(Files.readString(DOCUMENT))
                .as("docs/methods.md; run with -Dupdate.methods=true to write it anew")
                .isEqualTo(Methods.markdown());
    }

    @Test
    void everyMethodOfTheCodeIsInTheDocument() {
        JavaClasses core = new ClassFileImporter()
                .withImportOption(new ImportOption.DoNotIncludeTests())
                .importPackages("io.enthalpa.core");
        long fields = core.stream()
                .flatMap(c -> c.getFields().stream())
                .filter(f -> f.getRawType().isEquivalentTo(Method.class))
                .filter(f -> f.getModifiers().contains(com.tngtech.archunit.core.domain.JavaModifier.STATIC))
                .filter(f -> !f.getOwner().getSimpleName().equals("RatedCore"))
                .count();
        assertThat((long) Methods.all().size())
                .as("RatedCore shows its card's method")
                .isEqualTo(fields);
        assertThat(Methods.all()).extracting(Method::id).doesNotHaveDuplicates();
    }

    @Test
    void everyMethodNamesItsSourceAndWhatItLeavesOut() {
        for (Method method : Methods.all()) {
            assertThat(method.says()).as(method.id()).isNotBlank();
            assertThat(method.sources()).as(method.id()).isNotEmpty();
            assertThat(method.leavesOut()).as(method.id()).isNotBlank();
            assertThat(method.id()).matches("[a-z-]+");
        }
        assertThat(List.copyOf(Methods.chapters())).isNotEmpty();
    }
}
