package ample.ledger.demo;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;

/** The words that the demo is made of, as the text files beside this class hold them. */
final class Vocabulary {

    /**
     * What is known of one subject.
     *
     * @param home code of the campus that it is mostly taught on
     * @param toward codes of the requirements that its courses can count toward
     * @param knownAs everyday words for it, separated by commas
     * @param titles of courses, by level
     * @param things that its courses are about, as in "spring tides"
     * @param doings whole sentences on what its classes do
     */
    record SubjectWords(
            String code,
            String name,
            String home,
            String department,
            List<String> toward,
            Optional<String> knownAs,
            Map<Integer, List<String>> titles,
            List<String> things,
            List<String> doings) {}

    private Vocabulary() {}

    /** The subjects of an institution, in the order of its file. */
    static List<SubjectWords> subjects(String file) {
        List<SubjectWords> subjects = new ArrayList<>();
        String[] head = {};
        Map<Integer, List<String>> titles = new TreeMap<>();
        List<String> things = List.of();
        for (String line : lines(file)) {
            String[] parts = line.split(": ", 2);
            if (parts.length == 1) {
                head = line.split(" \\| ");
                titles = new TreeMap<>();
            } else if (parts[0].equals("things")) {
                things = split(parts[1]);
            } else if (parts[0].equals("doings")) {
                subjects.add(new SubjectWords(
                        head[0],
                        head[1],
                        head[2],
                        head[3],
                        Arrays.asList(head[4].split(" ")),
                        head.length > 5 ? Optional.of(head[5]) : Optional.empty(),
                        titles,
                        things,
                        List.of(parts[1].split("(?<=\\.); "))));
            } else {
                titles.put(Integer.parseInt(parts[0]), split(parts[1]));
            }
        }
        return subjects;
    }

    /** Lists of phrases under their headings, which are single words. */
    static Map<String, List<String>> phrases() {
        Map<String, List<String>> phrases = new LinkedHashMap<>();
        List<String> current = new ArrayList<>();
        for (String line : lines("phrases.txt")) {
            if (line.contains(" ")) {
                current.add(line);
            } else {
                current = new ArrayList<>();
                phrases.put(line, current);
            }
        }
        return phrases;
    }

    /** Surnames that nobody bears, put together from beginnings and endings; each once. */
    static List<String> surnames(int count, Dice dice) {
        List<String> lines = lines("names.txt");
        List<String> beginnings = List.of(lines.get(0).split(" "));
        List<String> endings = List.of(lines.get(1).split(" "));
        Map<String, String> names = new LinkedHashMap<>();
        while (names.size() < count) {
            String name = dice.of(beginnings) + dice.of(endings);
            if (names.size() % 5 == 0 || names.size() > 2_000) {
                name += "-" + dice.of(beginnings) + dice.of(endings);
            }
            names.putIfAbsent(name, name);
        }
        return List.copyOf(names.keySet());
    }

    private static List<String> split(String list) {
        return Arrays.stream(list.split(";")).map(String::trim).toList();
    }

    private static List<String> lines(String file) {
        try (InputStream in = Vocabulary.class.getResourceAsStream(file)) {
            if (in == null) {
                throw new IllegalStateException(file + " is missing");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8).lines().toList();
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }
}
