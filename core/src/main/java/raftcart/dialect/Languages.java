package raftcart.dialect;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.cockroachdb.CockroachLanguage;
import raftcart.dialect.db2.Db2Language;
import raftcart.dialect.derby.DerbyLanguage;
import raftcart.dialect.duckdb.DuckDbLanguage;
import raftcart.dialect.firebird.FirebirdLanguage;
import raftcart.dialect.h2.H2Language;
import raftcart.dialect.hsqldb.HsqldbLanguage;
import raftcart.dialect.mariadb.MariaDbLanguage;
import raftcart.dialect.mysql.MySqlLanguage;
import raftcart.dialect.oracle.OracleLanguage;
import raftcart.dialect.postgresql.PgLanguage;
import raftcart.dialect.snowflake.SnowflakeLanguage;
import raftcart.dialect.sqlite.SqliteLanguage;
import raftcart.dialect.sqlserver.SqlServerLanguage;
import raftcart.dialect.teradata.TeradataLanguage;

/** The SQL dialects that ship with the tool. */
public final class Languages {
    private static final List<String> NAMES = List.of(
            "postgresql",
            "mariadb",
            "mysql",
            "sqlite",
            "h2",
            "hsqldb",
            "derby",
            "duckdb",
            "firebird",
            "oracle",
            "sqlserver",
            "db2",
            "teradata",
            "snowflake",
            "cockroachdb");

    private Languages() {}

    /** The names of all dialects, in the order in which they are listed to users. */
    public static List<String> names() {
        return NAMES;
    }

    /** The dialect of this name. */
    public static Optional<Language> named(String name) {
        return Optional.ofNullable(
                switch (name) {
                    case "postgresql" -> PgLanguage.create();
                    case "mariadb" -> MariaDbLanguage.create();
                    case "mysql" -> MySqlLanguage.create();
                    case "sqlite" -> SqliteLanguage.create();
                    case "h2" -> H2Language.create();
                    case "hsqldb" -> HsqldbLanguage.create();
                    case "derby" -> DerbyLanguage.create();
                    case "duckdb" -> DuckDbLanguage.create();
                    case "firebird" -> FirebirdLanguage.create();
                    case "oracle" -> OracleLanguage.create();
                    case "sqlserver" -> SqlServerLanguage.create();
                    case "db2" -> Db2Language.create();
                    case "teradata" -> TeradataLanguage.create();
                    case "snowflake" -> SnowflakeLanguage.create();
                    case "cockroachdb" -> CockroachLanguage.create();
                    default -> null;
                });
    }

    /**
     * The dialect as it is read while a mode of its engine is set.
     *
     * @param mode one that its grammar tells; empty for the usual one
     */
    public static Language inMode(Language usual, String mode) {
        return mode.isEmpty() || !usual.name().equals("mariadb") ? usual : MariaDbLanguage.inMode(mode);
    }
}
