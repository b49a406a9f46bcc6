package raftcart.verify.calls;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import raftcart.catalog.Catalog;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Schema;
import raftcart.dialect.Languages;

class RoutineEffectsTest {
    private static RoutineEffects.Effects effects(String dialect, String... texts) {
        List<CodeObject> objects = new ArrayList<>();
        for (String text : texts) {
            String name = text.replaceFirst("(?s).*?(PROCEDURE|FUNCTION|TRIGGER) (\\w+).*", "$2");
            ObjectKind kind = ObjectKind.valueOf(text.replaceFirst("(?s).*?(PROCEDURE|FUNCTION|TRIGGER) .*", "$1"));
            objects.add(new CodeObject(kind, new ObjectName("k", name), text));
        }
        Catalog catalog =
                new Catalog(dialect, "", "k", List.of(new Schema("k", List.of(), List.of(), List.of(), objects)));
        SourceCode code = new SourceCode(catalog, Languages.named(dialect).orElseThrow());
        return RoutineEffects.of(List.of(), Optional.of("p"), code);
    }

    @Test
    void whatIsCalledAndFiredCountsToo() {
        RoutineEffects.Effects effects = effects(
                "mariadb",
                "CREATE PROCEDURE p() BEGIN UPDATE star SET mag = f(1); CALL q(); END",
                "CREATE PROCEDURE q() BEGIN IF 1 = 1 THEN DELETE FROM lamp; END IF; CALL p(); END",
                "CREATE FUNCTION f(a INT) RETURNS INT BEGIN INSERT INTO counted VALUES (a); RETURN a; END",
                "CREATE TRIGGER t AFTER UPDATE ON Star FOR EACH ROW INSERT INTO log VALUES (1)",
                "CREATE TRIGGER u AFTER DELETE ON moon FOR EACH ROW INSERT INTO never VALUES (1)");
        assertThat(effects.tables()).containsExactlyInAnyOrder("star", "lamp", "counted", "log");
        assertThat(effects.ends()).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "START TRANSACTION; COMMIT;",
                "TRUNCATE TABLE log;",
                "CREATE TABLE x (a INT);",
                "DROP TABLE log;",
                "EXECUTE IMMEDIATE 'TRUNCATE TABLE log';",
                "EXECUTE IMMEDIATE f('SELECT 1');",
                "SET @s = 'DROP TABLE log'; PREPARE s FROM @s; EXECUTE s;",
                "CALL elsewhere();",
                "SHOW TABLES;",
                "CALL q();"
            })
    void whatCannotBeTakenBackIsSeen(String body) {
        RoutineEffects.Effects effects = effects(
                "mariadb",
                "CREATE PROCEDURE p() BEGIN " + body + " END",
                "CREATE PROCEDURE q() BEGIN ALTER TABLE log ADD x INT; END");
        assertThat(effects.ends()).isPresent();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "SAVEPOINT a; ROLLBACK TO a;",
                "CREATE TEMPORARY TABLE x (a INT); DROP TEMPORARY TABLE x;",
                "EXECUTE IMMEDIATE CONCAT('DELETE FROM ', 'log');",
                "SELECT 1;"
            })
    void whatCanBeTakenBackIsCalled(String body) {
        assertThat(effects("mariadb", "CREATE PROCEDURE p() BEGIN " + body + " END")
                        .ends())
                .isEmpty();
    }
}
