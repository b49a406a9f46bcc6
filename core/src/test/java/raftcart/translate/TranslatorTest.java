package raftcart.translate;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.tuple;
import static raftcart.translate.Tables.column;
import static raftcart.translate.Tables.identity;
import static raftcart.translate.Tables.reference;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import raftcart.catalog.Catalog;
import raftcart.catalog.CheckConstraint;
import raftcart.catalog.CodeObject;
import raftcart.catalog.Column;
import raftcart.catalog.ForeignKey;
import raftcart.catalog.Index;
import raftcart.catalog.Key;
import raftcart.catalog.KeyPart;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.ReferentialAction;
import raftcart.catalog.Schema;
import raftcart.catalog.Table;
import raftcart.dialect.Dialect;
import raftcart.dialect.Dialects;
import raftcart.dialect.Languages;
import raftcart.error.PlanException;
import raftcart.finding.FindingCode;
import raftcart.finding.Outcome;
import raftcart.plan.ColumnRule;
import raftcart.plan.EffortRates;
import raftcart.plan.Endpoint;
import raftcart.plan.Grants;
import raftcart.plan.LoadSettings;
import raftcart.plan.NameRules;
import raftcart.plan.Plan;
import raftcart.plan.Selection;
import raftcart.type.LogicalType;
import raftcart.type.ValueChoices;

/** Whole catalogs in memory: names, keys, types that follow each other, and what is said about them. */
class TranslatorTest {
    private static final Dialect MARIADB = Dialects.named("mariadb").orElseThrow();
    private static final Dialect POSTGRESQL = Dialects.named("postgresql").orElseThrow();

    private final Tables catalog = new Tables();
    private final List<Table> tables = catalog.all();

    private final List<CodeObject> code = new ArrayList<>();

    private Tables.TableBuilder table(String name, Column... columns) {
        return catalog.table(name, columns);
    }

    private Translation translate(Dialect from, Dialect to) {
        return translate(from, to, Selection.everything(), Map.of());
    }

    private Translation translate(Dialect from, Dialect to, Selection selection, Map<String, String> schemas) {
        Catalog catalog =
                new Catalog(from.name(), "", "k", List.of(new Schema("k", tables, List.of(), List.of(), code)));
        Plan plan = new Plan(
                Endpoint.of("a"),
                Endpoint.of("b"),
                selection,
                schemas,
                NameRules.defaults(),
                List.of(),
                ValueChoices.defaults(),
                Grants.HAND_OVER,
                LoadSettings.defaults(),
                EffortRates.defaults());
        return Translator.translate(catalog, from.language(), to, plan, "s");
    }

    private static Table target(Translation translation, String source) {
        return translation.mapping(new ObjectName("k", source)).orElseThrow().target();
    }

    private static List<String> details(Translation translation, FindingCode code) {
        return translation.findings().stream()
                .filter(f -> f.code() == code)
                .map(f -> f.object() + ": " + f.detail())
                .toList();
    }

    @Test
    void bothSidesOfAForeignKeyHaveOneType() {
        LogicalType wide = new LogicalType.Int(32, false);
        LogicalType narrow = new LogicalType.Int(16, false);
        table("parent", column("id", wide, false, Optional.of(identity())))
                .primaryKey("id")
                .add();
        table("child", column("id", narrow))
                .primaryKey("id")
                .references(reference("c", "id", "parent"))
                .add();
        table("grandchild", column("up", narrow))
                .references(reference("g", "up", "child"))
                .add();
        Translation translation = translate(MARIADB, POSTGRESQL);
        for (String name : List.of("parent", "child", "grandchild")) {
            assertThat(target(translation, name).columns().get(0).declaredType())
                    .as(name)
                    .isEqualTo("integer");
        }
        assertThat(details(translation, FindingCode.KEY_TYPE_FOLLOWS))
                .containsExactlyInAnyOrder(
                        "k.child.id: smallint becomes integer", "k.grandchild.up: smallint becomes integer");
    }

    @Test
    void unsignedNumbersOf64BitsAreSignedInKeysAlone() {
        LogicalType unsigned = new LogicalType.Int(64, true);
        table("parent", column("id", unsigned), column("big", unsigned))
                .primaryKey("id")
                .add();
        table("child", column("up", unsigned))
                .references(reference("c", "up", "parent"))
                .add();
        Translation translation = translate(MARIADB, POSTGRESQL);
        assertThat(target(translation, "parent").columns())
                .extracting(Column::declaredType)
                .containsExactly("bigint", "numeric(20,0)");
        assertThat(target(translation, "parent").checks())
                .extracting(CheckConstraint::expression)
                .containsExactly("\"id\" >= 0", "\"big\" BETWEEN 0 AND 18446744073709551615");
        assertThat(target(translation, "child"))
                .returns("bigint", t -> t.columns().get(0).declaredType())
                .returns(List.of(), Table::checks);
        assertThat(details(translation, FindingCode.UNSIGNED_IDENTITY)).hasSize(2);
    }

    @Test
    void namesOfIndexesBecomeUniqueInTheSchema() {
        table("a", column("x", new LogicalType.Int(32, false)))
                .index("by_x", "btree", "", KeyPart.ofColumn("x"))
                .add();
        table("b", column("x", new LogicalType.Int(32, false)))
                .index("by_x", "btree", "", KeyPart.ofColumn("x"))
                .add();
        table("by_y", column("x", new LogicalType.Int(32, false)))
                .index("by_y", "btree", "", KeyPart.ofColumn("x"))
                .add();
        Translation translation = translate(MARIADB, POSTGRESQL);
        assertThat(target(translation, "a").indexes().get(0).name()).isEqualTo("by_x");
        assertThat(target(translation, "b").indexes().get(0).name()).isEqualTo("b_by_x");
        assertThat(target(translation, "by_y").indexes().get(0).name()).isEqualTo("by_y_by_y");
        assertThat(details(translation, FindingCode.NAME_CHANGED)).hasSize(2);
    }

    @Test
    void uniqueTextIgnoresCaseOnTheTargetToo() {
        LogicalType text = new LogicalType.Varchar(20);
        table(
                        "t",
                        column("name", text, true, Optional.empty()),
                        column("code", text),
                        column("id", text, true, Optional.empty()))
                .primaryKey("id")
                .unique("u_name", KeyPart.ofColumn("name"), KeyPart.ofColumn("code"))
                .unique("u_code", KeyPart.ofColumn("code"))
                .unique("u_start", new KeyPart("name", "", 5, false))
                .add();
        table("child", column("up", text))
                .references(new ForeignKey(
                        "f",
                        List.of("up"),
                        new ObjectName("k", "t"),
                        List.of("name", "code"),
                        ReferentialAction.NO_ACTION,
                        ReferentialAction.NO_ACTION,
                        false,
                        false,
                        List.of()))
                .add();
        Table target = target(translate(MARIADB, POSTGRESQL), "t");
        assertThat(target.uniqueKeys()).extracting(Key::name).containsExactly("u_name", "u_code");
        assertThat(target.indexes())
                .extracting(i -> i.name() + " "
                        + i.parts().stream()
                                .map(p -> p.isExpression() ? p.expression() : p.column())
                                .toList())
                .containsExactlyInAnyOrder(
                        "t_key_ignoring_case [lower(\"id\")]",
                        "u_name_ignoring_case [lower(\"name\"), code]",
                        "u_start [lower(LEFT(\"name\", 5))]");
    }

    @Test
    void keyActionsThatTheTargetLacksAreReported() {
        table("parent", column("id", new LogicalType.Int(32, false)))
                .primaryKey("id")
                .add();
        table("child", column("up", new LogicalType.Int(32, false)))
                .references(reference("f", "up", "parent"))
                .references(new ForeignKey(
                        "g",
                        List.of("up"),
                        new ObjectName("k", "parent"),
                        List.of("id"),
                        ReferentialAction.SET_NULL,
                        ReferentialAction.CASCADE,
                        false,
                        false,
                        List.of("up")))
                .add();
        Translation translation = translate(POSTGRESQL, MARIADB);
        assertThat(target(translation, "child").foreignKeys().get(1))
                .returns(ReferentialAction.NO_ACTION, ForeignKey::onDelete)
                .returns(ReferentialAction.CASCADE, ForeignKey::onUpdate)
                .returns(List.of(), ForeignKey::cleared);
        assertThat(target(translation, "child").foreignKeys().get(0))
                .returns(ReferentialAction.NO_ACTION, ForeignKey::onUpdate)
                .returns(false, ForeignKey::deferrable)
                .returns(new ObjectName("s", "parent"), ForeignKey::target);
        assertThat(details(translation, FindingCode.KEY_ACTION_LOST)).hasSize(2);
        assertThat(details(translation, FindingCode.DEFERRABLE_LOST)).hasSize(1);
    }

    @Test
    void aParentThatStaysBehindLeavesItsReferencesToAPerson() {
        Column id = column("id", new LogicalType.Int(32, false));
        table("parent", id).primaryKey("id").add();
        table("child", id).references(reference("f", "id", "parent")).add();
        Translation translation =
                translate(MARIADB, POSTGRESQL, new Selection(List.of("*"), List.of("parent"), List.of()), Map.of());
        assertThat(translation.tables()).hasSize(1);
        assertThat(target(translation, "child").foreignKeys()).isEmpty();
        assertThat(translation.byHand())
                .singleElement()
                .returns("foreign-key", ByHand::kind)
                .returns("the table k.parent does not go along", ByHand::reason);
        assertThat(translation.objects()).singleElement().returns(Outcome.CHECK, ObjectOutcome::outcome);
    }

    @Test
    void aReferenceToWhatIsNoKeyIsLeftToAPersonWhereTheTargetWantsKeys() {
        Column id = column("id", new LogicalType.Int(32, false));
        table("parent", id).add();
        table("child", id).references(reference("f", "id", "parent")).add();
        assertThat(translate(MARIADB, POSTGRESQL).byHand())
                .extracting(ByHand::reason)
                .containsExactly("the columns that it refers to are no key of k.parent");
        assertThat(translate(MARIADB, MARIADB).byHand()).isEmpty();
    }

    @Test
    void whatCannotBeTranslatedKeepsItsSourceAndTheTableIsToCheck() {
        table("t", column("x", new LogicalType.Int(32, false)))
                .check("c", "`x` > nowhere(`x`)")
                .index("f", "fulltext", "", KeyPart.ofColumn("x"))
                .add();
        Translation translation = translate(MARIADB, POSTGRESQL);
        assertThat(translation.byHand())
                .extracting(ByHand::kind, ByHand::name)
                .containsExactly(tuple("index", "k.t.f"), tuple("check", "k.t.c"));
        assertThat(translation.byHand().get(1).source()).isEqualTo("`x` > nowhere(`x`)");
        assertThat(translation.objects()).singleElement().returns(Outcome.CHECK, ObjectOutcome::outcome);
    }

    /** Names such as OPERATOR(ops.~~~>) stand in catalogs too; one of them must not hold up the rest. */
    @Test
    void partsThatCannotBeReadAreLeftToAPersonAndTheRestGoesOn() {
        table("t", column("x", new LogicalType.Int(32, false)))
                .check("c", "(x OPERATOR(ops.~~~>) 5)")
                .index("some", "btree", true, "(x OPERATOR(ops.~~~>) 3)", KeyPart.ofColumn("x"))
                .index("computed", "btree", true, "", new KeyPart("", "(x OPERATOR(ops.~~~>) 4)", 0, false))
                .index("whole", "btree", "", KeyPart.ofColumn("x"))
                .add();
        Translation translation = translate(POSTGRESQL, MARIADB);
        assertThat(translation.byHand())
                .extracting(ByHand::name)
                .containsExactlyInAnyOrder("k.t.some", "k.t.computed", "k.t.c");
        assertThat(target(translation, "t").indexes()).extracting(Index::name).containsExactly("whole");
    }

    @Test
    void aPackageAndItsBodyAreHandedOverTogether() {
        table("t", column("x", new LogicalType.Int(32, false))).add();
        for (String text : List.of("CREATE PACKAGE pk AS", "CREATE PACKAGE BODY pk AS")) {
            code.add(new CodeObject(ObjectKind.PACKAGE, new ObjectName("k", "pk"), text));
        }
        Translation translation = translate(MARIADB, POSTGRESQL);
        assertThat(translation.byHand())
                .singleElement()
                .returns("CREATE PACKAGE pk AS\n\nCREATE PACKAGE BODY pk AS", ByHand::source);
    }

    @Test
    void codeIsCountedStatementByStatementAndAllFaultsAreTold() {
        table("t", column("x", new LogicalType.Int(32, false))).add();
        String text = "CREATE PROCEDURE p(a INT)\nBEGIN\n  DECLARE n INT DEFAULT 1;\n  SET n = n + a;\n"
                + "  IF n > 2 THEN\n    SHOW TABLES;\n    UPDATE t SET x = n;\n  END IF;\n"
                + "  SHOW STATUS;\n  SELECT COUNT(*) INTO n FROM t;\nEND";
        code.add(new CodeObject(ObjectKind.PROCEDURE, new ObjectName("k", "p"), text));
        Translation translation = translate(MARIADB, POSTGRESQL);
        assertThat(translation.byHand())
                .singleElement()
                .extracting(ByHand::reason)
                .asString()
                .contains("6:")
                .contains("9:");
        ObjectOutcome outcome = translation.objects().stream()
                .filter(o -> o.kind() == ObjectKind.PROCEDURE)
                .findFirst()
                .orElseThrow();
        assertThat(outcome.statements()).containsEntry(Outcome.BY_HAND, 2);
        assertThat(outcome.statements().values().stream()
                        .mapToInt(Integer::intValue)
                        .sum())
                .isEqualTo(6);
    }

    @Test
    void indexesOfTheTargetMayBeLessThanThoseOfTheSource() {
        table("t", column("x", new LogicalType.Text(0)), column("n", new LogicalType.Int(32, false)))
                .index("whole", "btree", "", KeyPart.ofColumn("x"))
                .index("some", "btree", "(n > 0)", KeyPart.ofColumn("n"))
                .index("computed", "btree", "", new KeyPart("", "lower(x)", 0, false))
                .index("beginning", "btree", "", new KeyPart("", "\"left\"(x::text, 20)", 0, false))
                .index("inverted", "gin", "", KeyPart.ofColumn("x"))
                .add();
        Translation translation = translate(POSTGRESQL, MARIADB);
        assertThat(target(translation, "t").indexes())
                .extracting(Index::name, i -> i.parts().get(0).prefixLength(), Index::predicate)
                .containsExactly(tuple("whole", 255, ""), tuple("some", 0, ""), tuple("beginning", 20, ""));
        assertThat(details(translation, FindingCode.PARTIAL_INDEX)).containsExactly("k.t.some: condition (n > 0)");
        assertThat(details(translation, FindingCode.INDEX_BY_HAND)).hasSize(2);
    }

    @Test
    void twoColumnsThatDifferInCaseAloneStayApart() {
        LogicalType text = new LogicalType.Varchar(5);
        table("t", column("Name", text), column("name", text), column("NAME", text))
                .add();
        assertThat(target(translate(POSTGRESQL, MARIADB), "t").columns())
                .extracting(Column::name)
                .containsExactly("Name", "name_2", "NAME_3");
    }

    @Test
    void longNamesThatWouldMeetStayApart() {
        String stem = "x".repeat(60);
        table(stem + "abcd", column("a", new LogicalType.Bool())).add();
        table(stem + "abce", column("a", new LogicalType.Bool())).add();
        Translation translation = translate(MARIADB, POSTGRESQL);
        assertThat(translation.tables())
                .extracting(t -> t.target().name().name())
                .doesNotHaveDuplicates()
                .allMatch(n -> n.length() == 63);
    }

    @Test
    void schemasGoWhereThePlanSendsThemAndNeverOnTopOfEachOther() {
        table("t", column("a", new LogicalType.Bool())).add();
        assertThat(target(translate(MARIADB, POSTGRESQL), "t").name()).isEqualTo(new ObjectName("s", "t"));
        assertThat(target(translate(MARIADB, POSTGRESQL, Selection.everything(), Map.of("k", "hill")), "t")
                        .name())
                .isEqualTo(new ObjectName("hill", "t"));
        Table twin = tables.get(0);
        Table other = new Table(
                new ObjectName("j", "t"),
                twin.columns(),
                Optional.empty(),
                List.of(),
                List.of(),
                List.of(),
                List.of(),
                "",
                Optional.empty(),
                List.of(),
                0,
                0);
        Catalog catalog = new Catalog(
                "postgresql",
                "",
                "k",
                List.of(
                        new Schema("j", List.of(other), List.of(), List.of(), List.of()),
                        new Schema("k", tables, List.of(), List.of(), List.of())));
        Plan plan = new Plan(
                Endpoint.of("a"),
                Endpoint.of("b"),
                Selection.everything(),
                Map.of("j", "s"),
                NameRules.defaults(),
                List.of(),
                ValueChoices.defaults(),
                Grants.HAND_OVER,
                LoadSettings.defaults(),
                EffortRates.defaults());
        assertThatThrownBy(() -> Translator.translate(catalog, POSTGRESQL.language(), MARIADB, plan, "s"))
                .isInstanceOf(PlanException.class)
                .hasMessage("j.t and k.t would both become s.t");
    }

    private static Plan plan(NameRules names, ColumnRule... columns) {
        return new Plan(
                Endpoint.of("a"),
                Endpoint.of("b"),
                Selection.everything(),
                Map.of(),
                names,
                List.of(columns),
                ValueChoices.defaults(),
                Grants.HAND_OVER,
                LoadSettings.defaults(),
                EffortRates.defaults());
    }

    private Translation translate(String from, Dialect to, Plan plan) {
        Catalog catalog = new Catalog(from, "", "k", List.of(new Schema("k", tables, List.of(), List.of(), List.of())));
        return Translator.translate(catalog, Languages.named(from).orElseThrow(), to, plan, "s");
    }

    @Test
    void namesFoldAsBothEnginesDoItUnlessThePlanSaysOtherwise() {
        LogicalType text = new LogicalType.Varchar(5);
        table("STAR", column("NAME", text), column("Own Case", text)).add();
        table("Star", column("X", text)).add();
        List<Table> folded = translate("oracle", POSTGRESQL, plan(NameRules.defaults())).tables().stream()
                .map(TableMapping::target)
                .toList();
        assertThat(folded).extracting(t -> t.name().name()).containsExactlyInAnyOrder("star", "Star");
        assertThat(target(translate("oracle", POSTGRESQL, plan(NameRules.defaults())), "STAR")
                        .columns())
                .extracting(Column::name)
                .containsExactly("name", "Own Case");
        NameRules kept =
                new NameRules(NameRules.Case.KEEP, "kr_", "", Map.of("k.star.name", "called", "k.star", "sun"));
        tables.remove(1);
        Table sun = target(translate("oracle", POSTGRESQL, plan(kept)), "STAR");
        assertThat(sun.name().name()).isEqualTo("sun");
        assertThat(sun.columns()).extracting(Column::name).containsExactly("called", "Own Case");
    }

    @Test
    void rulesForColumnsGoBeforeTheTypeTable() {
        table("star", column("id", new LogicalType.Decimal(9, 0, false)), column("note", new LogicalType.Text(0)))
                .add();
        Table star = target(
                translate(
                        "oracle",
                        POSTGRESQL,
                        plan(
                                NameRules.defaults(),
                                new ColumnRule(
                                        "star.id",
                                        "*",
                                        Optional.of("bigint"),
                                        Optional.of(false),
                                        Optional.empty(),
                                        Optional.empty()),
                                new ColumnRule(
                                        "*",
                                        "DECL*",
                                        Optional.empty(),
                                        Optional.empty(),
                                        Optional.of("'-'"),
                                        Optional.empty()))),
                "star");
        assertThat(star.columns())
                .extracting(Column::declaredType, Column::nullable, c -> c.defaultValue()
                        .orElse(""))
                .containsExactly(tuple("bigint", false, ""), tuple("text", true, "'-'"));
    }

    @Test
    void aNumberOfZeroAndOneIsATruthValueWhereTheSourceHasNone() {
        table("star", column("lit", new LogicalType.Decimal(1, 0, false)))
                .check("c", "lit IN (0, 1)")
                .add();
        Table star = target(translate("oracle", POSTGRESQL, plan(NameRules.defaults())), "star");
        assertThat(star.columns()).extracting(Column::declaredType).containsExactly("boolean");
        assertThat(star.checks()).isEmpty();
    }

    @Test
    void keysOfMariaDbStayWithinTheirBytes() {
        LogicalType wide = new LogicalType.Varchar(600);
        table("star", column("a", wide), column("b", wide), column("n", new LogicalType.Int(32, false)))
                .index("both", "btree", "", KeyPart.ofColumn("a"), KeyPart.ofColumn("b"))
                .index("nulls", "btree", "", KeyPart.ofColumn("n"), new KeyPart("", "0", 0, false))
                .add();
        Table star = target(translate("oracle", MARIADB, plan(NameRules.defaults())), "star");
        assertThat(star.indexes())
                .extracting(
                        Index::name,
                        i -> i.parts().stream().map(KeyPart::prefixLength).toList())
                .containsExactly(tuple("both", List.of(255, 255)), tuple("nulls", List.of(0)));
    }
}
