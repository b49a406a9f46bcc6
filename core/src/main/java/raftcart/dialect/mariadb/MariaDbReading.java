package raftcart.dialect.mariadb;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import raftcart.sql.parse.CallReading;
import raftcart.sql.tree.Expr;

/** What calls mean, and how the settings of SQL_MODE have statements read ("SQL_MODE"). */
final class MariaDbReading implements CallReading {
    static final String ORACLE = "oracle";
    static final String EMPTY_IS_NULL = "oracle, empty texts are NULL";

    /** The modes by which no statement is read otherwise; they say what is refused, or what SHOW shows. */
    private static final Set<String> OF_NO_MEANING = Set.of(
            "NO_AUTO_VALUE_ON_ZERO",
            "",
            "DEFAULT",
            "ALLOW_INVALID_DATES",
            "ERROR_FOR_DIVISION_BY_ZERO",
            "IGNORE_SPACE",
            "NO_AUTO_CREATE_USER",
            "NO_DIR_IN_CREATE",
            "NO_ENGINE_SUBSTITUTION",
            "NO_FIELD_OPTIONS",
            "NO_KEY_OPTIONS",
            "NO_TABLE_OPTIONS",
            "NO_ZERO_DATE",
            "NO_ZERO_IN_DATE",
            "ONLY_FULL_GROUP_BY",
            "STRICT_ALL_TABLES",
            "STRICT_TRANS_TABLES",
            "TIME_ROUND_FRACTIONAL",
            "TRADITIONAL");

    /** The modes that the one of that name brings along, or with which it goes. */
    private static final Set<String> OF_ORACLE =
            Set.of("ORACLE", "PIPES_AS_CONCAT", "ANSI_QUOTES", "SIMULTANEOUS_ASSIGNMENT", "EMPTY_STRING_IS_NULL");

    @Override
    public Optional<Meaning> meaning(Expr.Call call) {
        return MariaDbCalls.meaning(call);
    }

    @Override
    public String mode(List<String> settings) {
        boolean oracle = settings.contains("ORACLE");
        return !oracle ? "" : settings.contains("EMPTY_STRING_IS_NULL") ? EMPTY_IS_NULL : ORACLE;
    }

    @Override
    public Optional<String> unreadable(List<String> settings) {
        boolean oracle = settings.contains("ORACLE");
        return settings.stream()
                .filter(s -> !OF_NO_MEANING.contains(s) && !(oracle && OF_ORACLE.contains(s)))
                .findFirst();
    }
}
