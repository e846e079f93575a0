package ample.ledger.web;

import static org.assertj.core.api.Assertions.assertThat;

import ample.ledger.core.fixtures.Schedules;
import ample.ledger.core.schedule.Schedule;
import ample.ledger.web.LedgerInstance.Visitor;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.regex.Pattern;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;

/** At an institution that is unlike the demo's in all its conventions. */
class ElsewhereTest extends AtSamiq {

    @Test
    void theFirstPageIsThatOfTheOnlyTerm() throws Exception {
        assertThat(page("/").body()).contains("First trimester 2031");
    }

    @Test
    void theWeekBeginsOnSundayAndHasItsWeekendLast() throws Exception {
        assertThat(page("/samiq-one-2031/browse").body())
                .containsSubsequence("data-code=\"sun\"", "data-code=\"mon\"", "data-code=\"fri\"", "data-code=\"sat\"")
                .contains("data-first=\"6\"", "data-last=\"24\"");
    }

    @Test
    void kindsGradesAndHoursAreItsOwn() throws Exception {
        String sheet = page("/samiq-one-2031/section/7007").body();

        assertThat(sheet)
                .contains("Sāmiq counts 25 to 30 h of work for a credit")
                .contains("with pracownia")
                .contains("\u2068محاضرة\u2069");
        assertThat(page("/samiq-one-2031/course/%C5%BBEG-215").body())
                .contains("ŻEG.101 Łódź i żagiel, 14/20 or better");
        Visitor guest = new Visitor(instance.root());
        assertThat(guest.post("/record", "courses", "HYD.104a 11/20\nżeg.101 21/20", "back", "/record")
                        .body())
                .contains("“21/20” is not a grade here; grades are such as 20/20, 10/20, 0/20.");
    }

    @Test
    void nothingIsTakenFromTheDemo() throws Exception {
        List<String> ofTheDemo = wordsOfTheDemo();
        for (String path : EveryPage.of(Schedules.samiq())) {
            String body = page(path).body();
            assertThat(ofTheDemo).as(path).noneMatch(body::contains);
        }
    }

    /** Templates and messages: what they give as an example, the posted schedule must give. */
    @Test
    void noTemplateAndNoMessageHasAWordOfTheDemo() throws Exception {
        Path repository = Schedules.repository();
        List<String> found = new ArrayList<>();
        for (Path file : files(repository.resolve("web/src/main/resources"), ".html")) {
            // What stands in a text that is replaced is for whoever reads the template.
            lookFor(file, Files.readString(file).replaceAll("(?s)th:text=\"[^\"]*\"[^<]*", ""), found);
        }
        for (Path file : files(repository.resolve("web/src/main/resources"), ".js")) {
            lookFor(file, Files.readString(file), found);
        }
        for (String module : List.of("core", "web")) {
            for (Path file : files(repository.resolve(module + "/src/main/java"), ".java")) {
                lookFor(file, Files.readString(file).replaceAll("(?s)/\\*.*?\\*/|//[^\n]*", ""), found);
            }
        }
        assertThat(found).isEmpty();
    }

    private static void lookFor(Path file, String text, List<String> found) throws Exception {
        wordsOfTheDemo().stream()
                .filter(word -> Pattern.compile("\\b" + Pattern.quote(word) + "\\b")
                        .matcher(text)
                        .find())
                .map(word -> file.getFileName() + ": " + word)
                .forEach(found::add);
    }

    private static List<Path> files(Path folder, String ending) throws Exception {
        try (Stream<Path> all = Files.walk(folder)) {
            return all.filter(file -> file.toString().endsWith(ending)).toList();
        }
    }

    /** Its names, and the codes of its subjects. */
    private static List<String> wordsOfTheDemo() {
        Schedule kernel = Schedules.kernelSchedule();
        return Stream.of(
                        Stream.of(kernel.institution().name(), "Saltern"),
                        kernel.subjects().stream().map(subject -> subject.code()),
                        kernel.subjects().stream().map(subject -> subject.name()),
                        kernel.campuses().stream()
                                .filter(campus -> !campus.remote())
                                .map(campus -> campus.name()),
                        kernel.sections().stream()
                                .flatMap(section -> section.instructors().stream())
                                .map(person -> person.name())
                                .filter(name -> name.length() > 5))
                .flatMap(words -> words)
                .distinct()
                .toList();
    }
}
