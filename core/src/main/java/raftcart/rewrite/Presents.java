package raftcart.rewrite;

import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.tree.CurrentKind;
import raftcart.sql.tree.Expr;

/** The present date and time, which has a zone and fractions of a second on some engines and not on others. */
final class Presents {
    private Presents() {}

    /** The present with the fractions of its second, and without the zone, that it has on the source by itself. */
    static Expr.CurrentTime adapted(Expr.CurrentTime time, Language from, Language to) {
        boolean plain = time.kind() == CurrentKind.TIMESTAMP
                && !from.has(SqlFeature.PRESENT_HAS_ZONE)
                && to.has(SqlFeature.INSTANTS_MEET_NO_SECONDS);
        CurrentKind kind = plain ? CurrentKind.LOCAL_TIMESTAMP : time.kind();
        boolean bare = time.precision() < 0
                && kind != CurrentKind.DATE
                && (from.has(SqlFeature.PRESENT_HAS_FRACTIONS)
                        || kind == CurrentKind.TIMESTAMP && from.has(SqlFeature.PRESENT_HAS_ZONE))
                && (to.has(SqlFeature.PRESENT_AS_LONG_AS_COLUMN)
                        || kind == CurrentKind.LOCAL_TIMESTAMP && to.has(SqlFeature.DATES_HAVE_TIME));
        return bare || plain ? new Expr.CurrentTime(kind, bare ? 6 : time.precision(), time.span()) : time;
    }
}
