package ample.ledger.core.exchange;

import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.math.BigDecimal;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The schedule bundle's format, as its descriptor {@code datapackage.json} states it. */
public final class BundleFormat {

    /** The name of the descriptor in a bundle. */
    public static final String DESCRIPTOR = "datapackage.json";

    private static final JsonMapper JSON = JsonMapper.shared();
    private static final BundleFormat CURRENT = new BundleFormat(JSON.readTree(descriptorText()));

    private final String name;
    private final String version;
    private final List<TableSchema> tables;

    private BundleFormat(JsonNode descriptor) {
        name = descriptor.path("name").asString();
        version = descriptor.path("version").asString();
        tables = descriptor
                .path("resources")
                .valueStream()
                .map(BundleFormat::table)
                .toList();
    }

    /** The form that this program reads and writes. */
    public static BundleFormat current() {
        return CURRENT;
    }

    /** The descriptor as it travels in every bundle. */
    public static String descriptorText() {
        return text(DESCRIPTOR);
    }

    /** A text that the program brings along beside this class. */
    static String text(String name) {
        try (InputStream in = BundleFormat.class.getResourceAsStream(name)) {
            if (in == null) {
                throw new IllegalStateException(name + " is missing from the program");
            }
            return new String(in.readAllBytes(), StandardCharsets.UTF_8);
        } catch (IOException e) {
            throw new UncheckedIOException(e);
        }
    }

    /** The tables, each after those it refers to. */
    public List<TableSchema> tables() {
        return tables;
    }

    /** What is wrong with the descriptor that a bundle brings; empty when it states this format in this version. */
    public List<Fault> faultsOf(String descriptor) {
        JsonNode brought;
        try {
            brought = JSON.readTree(descriptor);
        } catch (JacksonException e) {
            return List.of(Fault.of(DESCRIPTOR, "It is not JSON: " + e.getOriginalMessage() + "."));
        }
        String broughtName = brought.path("name").asString("");
        String broughtVersion = brought.path("version").asString("");
        if (!broughtName.equals(name) || !broughtVersion.equals(version)) {
            return List.of(Fault.of(
                    DESCRIPTOR,
                    "It must be \"name\": \"%s\" and \"version\": \"%s\"; here it is “%s” and “%s”."
                            .formatted(name, version, broughtName, broughtVersion)));
        }
        return List.of();
    }

    private static TableSchema table(JsonNode resource) {
        JsonNode schema = resource.path("schema");
        List<TableSchema.ForeignKey> foreignKeys = new ArrayList<>();
        for (JsonNode key : schema.path("foreignKeys")) {
            JsonNode reference = key.path("reference");
            foreignKeys.add(new TableSchema.ForeignKey(
                    strings(key.path("fields")),
                    reference.path("resource").asString(),
                    strings(reference.path("fields"))));
        }
        return new TableSchema(
                resource.path("name").asString(),
                resource.path("path").asString(),
                resource.path("title").asString(""),
                schema.path("fields").valueStream().map(BundleFormat::column).toList(),
                strings(schema.path("primaryKey")),
                foreignKeys,
                schema.path("fields")
                        .valueStream()
                        .filter(field -> field.has("oneOf"))
                        .map(BundleFormat::oneOf)
                        .toList(),
                resource.path("mayBeLeftOut").asBoolean(false));
    }

    private static TableSchema.OneOf oneOf(JsonNode field) {
        JsonNode oneOf = field.path("oneOf");
        return new TableSchema.OneOf(
                field.path("name").asString(),
                strings(oneOf.path("values")),
                oneOf.path("resource").asString(),
                oneOf.path("field").asString());
    }

    private static TableSchema.Column column(JsonNode field) {
        JsonNode constraints = field.path("constraints");
        return new TableSchema.Column(
                field.path("name").asString(),
                field.path("description").asString(""),
                TableSchema.Type.valueOf(field.path("type").asString().toUpperCase(Locale.ROOT)),
                constraints.path("required").asBoolean(false),
                constraints.has("pattern") ? pattern(constraints.path("pattern").asString()) : null,
                strings(constraints.path("enum")),
                bound(constraints.path("minimum")),
                bound(constraints.path("maximum")),
                field.path("example").asString(""));
    }

    /** Without the anchors that other readers want: here a whole cell must match, and people read it better so. */
    private static Pattern pattern(String anchored) {
        return Pattern.compile(anchored.replaceAll("^\\^|\\$$", ""));
    }

    private static @Nullable BigDecimal bound(JsonNode node) {
        return node.isNumber() ? node.decimalValue() : null;
    }

    private static List<String> strings(JsonNode array) {
        return array.valueStream().map(JsonNode::asString).toList();
    }
}
