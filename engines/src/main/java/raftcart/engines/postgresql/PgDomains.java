package raftcart.engines.postgresql;

/** Domains, which may be of other domains ("CREATE DOMAIN"): each brings its checks, and any of them may refuse NULL. */
final class PgDomains {
    /**
     * Begins a query: a row for each type of which a domain is, itself and the base type among them. The row of the base
     * type is the one whose {@code base} is no domain.
     */
    static final String WITH = "WITH RECURSIVE domain_base (domain, base, typmod, required) AS ("
            + "SELECT oid, oid, -1, false FROM pg_type WHERE typtype = 'd' UNION ALL"
            + " SELECT b.domain, t.typbasetype, t.typtypmod, b.required OR t.typnotnull FROM domain_base b"
            + " JOIN pg_type t ON t.oid = b.base AND t.typtype = 'd'), base_type AS (SELECT b.* FROM domain_base b"
            + " JOIN pg_type t ON t.oid = b.base AND t.typtype <> 'd') ";

    private PgDomains() {}
}
