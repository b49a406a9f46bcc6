package raftcart.dialect;

import java.util.List;
import java.util.Optional;
import raftcart.dialect.mariadb.MariaDbDialect;
import raftcart.dialect.postgresql.PgDialect;

/** The dialects that ship with the tool. */
public final class Dialects {
    private static final List<Dialect> ALL = List.of(PgDialect.create(), MariaDbDialect.create());

    private Dialects() {}

    /** Every dialect, in the order in which they are listed to users. */
    public static List<Dialect> all() {
        return ALL;
    }

    /** The dialect of this name. */
    public static Optional<Dialect> named(String name) {
        return ALL.stream().filter(d -> d.name().equals(name)).findFirst();
    }
}
