package raftcart.plan;

import com.fasterxml.jackson.core.JsonParser;
import com.fasterxml.jackson.core.JsonProcessingException;
import com.fasterxml.jackson.core.JsonToken;
import com.fasterxml.jackson.databind.DeserializationFeature;
import com.fasterxml.jackson.databind.JsonNode;
import com.fasterxml.jackson.databind.ObjectReader;
import com.fasterxml.jackson.databind.node.ArrayNode;
import com.fasterxml.jackson.databind.node.JsonNodeFactory;
import com.fasterxml.jackson.databind.node.MissingNode;
import com.fasterxml.jackson.databind.node.ObjectNode;
import com.fasterxml.jackson.dataformat.yaml.YAMLFactory;
import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.BiFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import raftcart.error.PlanException;
import raftcart.error.WorkspaceException;
import raftcart.finding.FindingCode;
import raftcart.resource.StrictYaml;
import raftcart.type.ValueChoices;

/** Reads {@code raftcart.yaml}. All faults are reported together, each with its line; nothing is ever corrected. */
public final class PlanFile {
    /** Keeps every digit of a number. */
    private static final ObjectReader EXACT =
            StrictYaml.MAPPER.reader().with(DeserializationFeature.USE_BIG_DECIMAL_FOR_FLOATS);

    private static final Pattern TWICE = Pattern.compile("Duplicate field '(.*)'");

    /** The name of the file in a migration folder. */
    public static final String NAME = "raftcart.yaml";

    private PlanFile() {}

    /**
     * The plan that a file holds.
     *
     * @throws PlanException if the file is not a plan
     */
    public static Plan read(Path file) {
        String text;
        try {
            text = Files.readString(file);
        } catch (IOException e) {
            throw new WorkspaceException(
                    file + " cannot be read", "Start a migration with `raftcart init`, or name its folder with -C.", e);
        }
        return parse(text, file.getFileName().toString());
    }

    /** The plan that a text holds; {@code name} stands in messages. */
    public static Plan parse(String text, String name) {
        return checked(text, name, "Mend the plan; docs/plan.md lists every key.", PlanFile::plan);
    }

    /** What a text of YAML holds, unless something is wrong with it. */
    static <T> T checked(String text, String name, String advice, BiFunction<PlanChecker, JsonNode, T> reading) {
        try {
            JsonNode root = EXACT.readTree(text);
            PlanChecker checker = new PlanChecker(name, advice, lines(text));
            T read = reading.apply(checker, root);
            checker.throwIfFaulty();
            return read;
        } catch (JsonProcessingException e) {
            throw new PlanException(
                    name + ":" + e.getLocation().getLineNr() + ":"
                            + e.getLocation().getColumnNr() + ": "
                            + fault(e.getOriginalMessage().lines().findFirst().orElse("")),
                    "Mend the file.",
                    e);
        } catch (IOException e) {
            throw new PlanException(name + " cannot be read", "Mend the file.", e);
        }
    }

    private static String fault(String message) {
        Matcher twice = TWICE.matcher(message);
        return twice.matches() ? "`" + twice.group(1) + "` stands here a second time" : "not YAML: " + message;
    }

    private static Plan plan(PlanChecker checker, JsonNode root) {
        checker.keys(
                root,
                "",
                List.of(
                        "version", "source", "target", "tables", "schemas", "names", "columns", "values", "grants",
                        "load", "effort"));
        checker.number(root.path("version"), "version", 1, 1, 1);
        return new Plan(
                endpoint(checker, root.path("source"), "source"),
                endpoint(checker, root.path("target"), "target"),
                PlanRules.tables(checker, root.path("tables")),
                schemas(checker, root.path("schemas")),
                names(checker, root.path("names")),
                PlanRules.columns(checker, root.path("columns")),
                values(checker, root.path("values")),
                checker.choice(root.path("grants"), "grants", Grants.HAND_OVER),
                load(checker, root.path("load")),
                effort(checker, root.path("effort")));
    }

    private static Endpoint endpoint(PlanChecker checker, JsonNode node, String path) {
        checker.keys(node, path, List.of("url", "user", "password"));
        return new Endpoint(
                checker.requiredText(node.path("url"), path, "url"),
                optional(checker, node.path("user"), path + ".user"),
                optional(checker, node.path("password"), path + ".password"));
    }

    private static Optional<String> optional(PlanChecker checker, JsonNode node, String path) {
        return checker.text(node, path);
    }

    private static Map<String, String> schemas(PlanChecker checker, JsonNode node) {
        Map<String, String> schemas = new LinkedHashMap<>();
        if (checker.isObject(node, "schemas")) {
            node.properties().forEach(f -> checker.text(f.getValue(), "schemas." + f.getKey())
                    .ifPresent(target -> schemas.put(f.getKey(), target)));
        }
        return schemas;
    }

    private static NameRules names(PlanChecker checker, JsonNode node) {
        checker.keys(node, "names", List.of("case", "table-prefix", "table-suffix", "rename"));
        NameRules defaults = NameRules.defaults();
        Map<String, String> rename = new LinkedHashMap<>();
        if (checker.isObject(node.path("rename"), "names.rename")) {
            node.path("rename").properties().forEach(f -> checker.text(f.getValue(), "names.rename." + f.getKey())
                    .ifPresent(to -> rename.put(f.getKey().toLowerCase(Locale.ROOT), to)));
        }
        return new NameRules(
                checker.choice(node.path("case"), "names.case", defaults.letters()),
                checker.text(node.path("table-prefix"), "names.table-prefix").orElse(""),
                checker.text(node.path("table-suffix"), "names.table-suffix").orElse(""),
                rename);
    }

    private static ValueChoices values(PlanChecker checker, JsonNode node) {
        checker.keys(
                node,
                "values",
                List.of("impossible-dates", "one-digit-boolean", "time", "enumerations", "unique-texts"));
        ValueChoices defaults = ValueChoices.defaults();
        return new ValueChoices(
                checker.choice(node.path("impossible-dates"), "values.impossible-dates", defaults.impossibleDates()),
                checker.choice(node.path("one-digit-boolean"), "values.one-digit-boolean", defaults.oneDigitBoolean()),
                checker.choice(node.path("time"), "values.time", defaults.time()),
                checker.choice(node.path("enumerations"), "values.enumerations", defaults.enumerations()),
                checker.choice(node.path("unique-texts"), "values.unique-texts", defaults.uniqueTexts()));
    }

    private static LoadSettings load(PlanChecker checker, JsonNode node) {
        checker.keys(
                node, "load", List.of("rows-per-batch", "rows-per-part", "parallel", "restart", "stop-after-refused"));
        LoadSettings defaults = LoadSettings.defaults();
        return new LoadSettings(
                checker.number(
                        node.path("rows-per-batch"), "load.rows-per-batch", defaults.rowsPerBatch(), 1, 1_000_000),
                checker.number(
                        node.path("rows-per-part"),
                        "load.rows-per-part",
                        defaults.rowsPerPart(),
                        1000,
                        Integer.MAX_VALUE),
                checker.number(node.path("parallel"), "load.parallel", defaults.parallel(), 0, 64),
                checker.choice(node.path("restart"), "load.restart", defaults.restart()),
                checker.number(
                        node.path("stop-after-refused"),
                        "load.stop-after-refused",
                        defaults.stopAfterRefused(),
                        0,
                        Integer.MAX_VALUE));
    }

    private static EffortRates effort(PlanChecker checker, JsonNode node) {
        checker.keys(node, "effort", List.of("minutes-per-line", "repeat", "least", "most", "minutes"));
        EffortRates defaults = EffortRates.defaults();
        Map<FindingCode, Integer> minutes = new EnumMap<>(FindingCode.class);
        if (checker.isObject(node.path("minutes"), "effort.minutes")) {
            node.path("minutes").properties().forEach(f -> checker.code(f.getKey(), "effort.minutes." + f.getKey())
                    .ifPresent(c -> minutes.put(
                            c, checker.number(f.getValue(), "effort.minutes." + f.getKey(), 0, 0, 100_000))));
        }
        return new EffortRates(
                checker.fraction(node.path("minutes-per-line"), "effort.minutes-per-line", defaults.minutesPerLine()),
                checker.fraction(node.path("repeat"), "effort.repeat", defaults.repeat()),
                checker.fraction(node.path("least"), "effort.least", defaults.least()),
                checker.fraction(node.path("most"), "effort.most", defaults.most()),
                minutes);
    }

    /** The line of every key, by its path. */
    private static Map<String, Integer> lines(String text) throws IOException {
        Map<String, Integer> lines = new HashMap<>();
        try (JsonParser parser = new YAMLFactory().createParser(text)) {
            for (JsonToken token = parser.nextToken(); token != null; token = parser.nextToken()) {
                if (token == JsonToken.FIELD_NAME) {
                    String path = parser.getParsingContext().pathAsPointer().toString();
                    lines.put(
                            path.substring(1).replace('/', '.'),
                            parser.currentTokenLocation().getLineNr());
                }
            }
        }
        return lines;
    }

    /** A node that stands for nothing. */
    static boolean absent(JsonNode node) {
        return node instanceof MissingNode || node.isNull();
    }

    /** The whole plan as a file would hold it, with its defaults; URLs without anything secret. */
    public static ObjectNode tree(Plan plan) {
        ObjectNode root = JsonNodeFactory.instance.objectNode();
        root.put("version", 1);
        endpoint(root.putObject("source"), plan.source());
        endpoint(root.putObject("target"), plan.target());
        PlanRules.tree(root.putObject("tables"), plan.tables());
        new TreeMap<>(plan.schemas()).forEach(root.putObject("schemas")::put);
        ObjectNode names = root.putObject("names");
        names.put("case", PlanChecker.word(plan.names().letters()));
        names.put("table-prefix", plan.names().tablePrefix());
        names.put("table-suffix", plan.names().tableSuffix());
        new TreeMap<>(plan.names().rename()).forEach(names.putObject("rename")::put);
        ArrayNode columns = root.putArray("columns");
        plan.columns().forEach(r -> PlanRules.tree(columns.addObject(), r));
        ObjectNode values = root.putObject("values");
        values.put("impossible-dates", PlanChecker.word(plan.values().impossibleDates()));
        values.put("one-digit-boolean", PlanChecker.word(plan.values().oneDigitBoolean()));
        values.put("time", PlanChecker.word(plan.values().time()));
        values.put("enumerations", PlanChecker.word(plan.values().enumerations()));
        values.put("unique-texts", PlanChecker.word(plan.values().uniqueTexts()));
        root.put("grants", PlanChecker.word(plan.grants()));
        ObjectNode load = root.putObject("load");
        load.put("rows-per-batch", plan.load().rowsPerBatch());
        load.put("rows-per-part", plan.load().rowsPerPart());
        load.put("parallel", plan.load().parallel());
        load.put("restart", PlanChecker.word(plan.load().restart()));
        load.put("stop-after-refused", plan.load().stopAfterRefused());
        ObjectNode effort = root.putObject("effort");
        effort.put("minutes-per-line", plan.effort().minutesPerLine());
        effort.put("repeat", plan.effort().repeat());
        effort.put("least", plan.effort().least());
        effort.put("most", plan.effort().most());
        ObjectNode minutes = effort.putObject("minutes");
        plan.effort().minutes().forEach((code, m) -> minutes.put(code.code(), m));
        return root;
    }

    private static void endpoint(ObjectNode node, Endpoint endpoint) {
        node.put("url", endpoint.shownUrl());
        endpoint.user().ifPresent(u -> node.put("user", u));
        endpoint.password().ifPresent(p -> node.put("password", p.startsWith("${") ? p : "..."));
    }
}
