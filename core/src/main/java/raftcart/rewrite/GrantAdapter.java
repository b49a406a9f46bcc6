package raftcart.rewrite;

import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.Span;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Adapts rights: those that the standard has cross, others have no counterpart. */
final class GrantAdapter {
    private static final Set<String> ON_TABLES =
            Set.of("SELECT", "INSERT", "UPDATE", "DELETE", "REFERENCES", "ALL", "ALL PRIVILEGES");

    private final QueryAdapter adapter;

    GrantAdapter(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    List<Statement> adapt(DdlStatement.Grant given) {
        DdlStatement.Grant grant = ofTables(given);
        boolean usual = grant.kind().equals("SCHEMA")
                && !adapter.to.has(SqlFeature.SCHEMA_GRANTS)
                && grant.objects().stream()
                        .allMatch(o -> o.last().text().equalsIgnoreCase(adapter.from.defaultSchema()));
        if (usual) {
            adapter.note(FindingCode.PRIVILEGE, grant.span(), "rights on the default schema are left out");
            return List.of();
        }
        boolean reached = grant.kind().equals("SCHEMA")
                && adapter.to.has(SqlFeature.DATABASES_ARE_SCHEMAS)
                && grant.privileges().equals(List.of("USAGE"));
        if (reached) {
            adapter.note(FindingCode.PRIVILEGE, grant.span(), "no right is needed to reach a schema");
            return List.of();
        }
        Optional<DdlStatement.Grant> sequence = onSequences(grant);
        if (sequence.isPresent()) {
            return List.of(sequence.get());
        }
        sayLaterTables(grant);
        List<String> kept = grant.privileges().stream()
                .map(p -> renamed(p, grant.kind()))
                .filter(p -> isKnown(p, grant.kind()))
                .toList();
        if (kept.isEmpty()) {
            throw new Untranslatable("the right " + String.join(", ", grant.privileges())
                    + (grant.kind().isEmpty() ? "" : " on " + grant.kind().toLowerCase(java.util.Locale.ROOT)));
        }
        if (kept.size() < grant.privileges().size()) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    grant.span(),
                    "of the rights " + String.join(", ", grant.privileges()) + " only " + String.join(", ", kept));
        }
        List<String> grantees = grantees(grant.grantees(), grant.span());
        Stream<List<QualifiedName>> objects = adapter.same()
                ? Stream.of(objects(grant))
                : objects(grant).stream().map(List::of); // the standard has one object a statement
        return objects.<Statement>map(o -> new DdlStatement.Grant(
                        grant.revoke(), kept, grant.kind(), o, grantees, grant.withGrant(), grant.span()))
                .toList();
    }

    /** Rights on what a schema holds, which T-SQL grants on the schema, as rights on its tables. */
    private DdlStatement.Grant ofTables(DdlStatement.Grant grant) {
        boolean held = grant.kind().equals("SCHEMA")
                && !adapter.same()
                && adapter.from.has(SqlFeature.SCHEMAS_GRANT_TABLES)
                && !adapter.to.has(SqlFeature.SCHEMAS_GRANT_TABLES)
                && grant.privileges().stream().allMatch(ON_TABLES::contains);
        return held ? grant.onAllTables() : grant;
    }

    /** The schemas whose tables are meant; that which names without one mean is the target's, or none. */
    private List<QualifiedName> objects(DdlStatement.Grant grant) {
        String usual = adapter.from.defaultSchema();
        boolean bare = grant.objects().stream().anyMatch(o -> o.parts().isEmpty());
        if (!grant.kind().equals(DdlStatement.Grant.ALL_TABLES) || adapter.same() || usual.isEmpty() && !bare) {
            return grant.objects();
        }
        String other = adapter.to.has(SqlFeature.SCHEMAS) ? adapter.to.defaultSchema() : "";
        if (other.isEmpty() && !adapter.to.has(SqlFeature.GRANTS_BY_STAR)) {
            throw new Untranslatable("a right on all tables of a schema that is not named");
        }
        QualifiedName mapped = other.isEmpty() ? new QualifiedName(List.of()) : QualifiedName.of(other);
        return grant.objects().stream()
                .map(o -> o.parts().isEmpty() || o.last().text().equalsIgnoreCase(usual) ? mapped : o)
                .toList();
    }

    /** Rights on sequences, where one of the engines has no right to use them by that name. */
    private Optional<DdlStatement.Grant> onSequences(DdlStatement.Grant grant) {
        Optional<List<String>> uses = rightsOfUse(adapter.to);
        if (grant.kind().equals("SEQUENCE") && uses.isPresent() && adapter.to.has(SqlFeature.SEQUENCES)) {
            return Optional.of(onSequence(grant, "", uses.get()));
        }
        boolean sequence = grant.kind().isEmpty()
                && uses.isEmpty()
                && adapter.to.has(SqlFeature.SCHEMA_GRANTS)
                && grant.objects().stream().allMatch(adapter.knowledge::isSequence)
                && rightsOfUse(adapter.from)
                        .filter(grant.privileges()::containsAll)
                        .isPresent();
        return sequence ? Optional.of(onSequence(grant, "SEQUENCE", List.of("USAGE"))) : Optional.empty();
    }

    /** The rights on a sequence by which one may draw numbers from it, where it is not USAGE. */
    private static Optional<List<String>> rightsOfUse(Language language) {
        if (language.has(SqlFeature.SEQUENCES_GIVE_TO_SELECT)) {
            return Optional.of(List.of("SELECT"));
        }
        if (language.has(SqlFeature.SEQUENCES_GIVE_TO_INSERT)) {
            return Optional.of(List.of("SELECT", "INSERT"));
        }
        return language.has(SqlFeature.SEQUENCES_GIVE_TO_UPDATE) ? Optional.of(List.of("UPDATE")) : Optional.empty();
    }

    private DdlStatement.Grant onSequence(DdlStatement.Grant grant, String kind, List<String> rights) {
        boolean more = grant.kind().equals("SEQUENCE") && grant.privileges().equals(List.of("SELECT"));
        adapter.note(
                more ? FindingCode.PRIVILEGE : FindingCode.SYNTAX_ADAPTED,
                grant.span(),
                "the right to draw numbers from a sequence" + (more ? ", for that to read its last one" : ""));
        return new DdlStatement.Grant(
                grant.revoke(),
                rights,
                kind,
                grant.objects(),
                grantees(grant.grantees(), grant.span()),
                grant.withGrant(),
                grant.span());
    }

    /** Members of roles, without their hosts where the target knows none. */
    List<Statement> adapt(DdlStatement.RoleMembers given) {
        if (given.mayGrant() && !adapter.to.has(SqlFeature.ROLE_ADMINISTRATORS)) {
            adapter.note(FindingCode.SYNTAX_CHECK, given.span(), "WITH ADMIN OPTION is left out");
        }
        boolean all = given.members().stream().anyMatch("PUBLIC"::equalsIgnoreCase);
        if (all && !adapter.to.has(SqlFeature.PUBLIC_HAS_ROLES)) {
            throw new Untranslatable("a role that everybody is in");
        }
        return List.of(new DdlStatement.RoleMembers(
                given.revoke(),
                given.roles(),
                grantees(given.members(), given.span()),
                given.mayGrant() && adapter.to.has(SqlFeature.ROLE_ADMINISTRATORS),
                given.span()));
    }

    private void sayLaterTables(DdlStatement.Grant grant) {
        boolean stars =
                adapter.from.has(SqlFeature.GRANTS_BY_STAR) || adapter.from.has(SqlFeature.SCHEMAS_GRANT_TABLES);
        if (grant.kind().equals(DdlStatement.Grant.ALL_TABLES) && stars != adapter.to.has(SqlFeature.GRANTS_BY_STAR)) {
            adapter.note(
                    FindingCode.SYNTAX_CHECK,
                    grant.span(),
                    "tables that are made later are " + (stars ? "not among them" : "among them too"));
        }
    }

    /** The grantees, without their hosts where the target knows none. */
    private List<String> grantees(List<String> given, Span span) {
        if (adapter.to.has(SqlFeature.GRANTEES_HAVE_HOSTS)) {
            return given;
        }
        return given.stream()
                .map(g -> {
                    int at = g.indexOf('@');
                    if (at > 0 && !g.matches(".*@%?")) {
                        adapter.note(FindingCode.SYNTAX_CHECK, span, g + " from any host");
                    }
                    return at > 0 ? g.substring(0, at) : g;
                })
                .distinct()
                .toList();
    }

    private static String renamed(String privilege, String kind) {
        return kind.equals("SCHEMA") && privilege.equals("CREATEIN") ? "CREATE" : privilege;
    }

    private boolean isKnown(String privilege, String kind) {
        String word = privilege.replaceFirst(" \\(.*", "");
        return switch (kind) {
            case "", DdlStatement.Grant.ALL_TABLES -> ON_TABLES.contains(word);
            case "SEQUENCE" -> word.matches("USAGE|ALL|SELECT|UPDATE") && adapter.to.has(SqlFeature.SCHEMA_GRANTS);
            case "SCHEMA" -> word.matches("USAGE|CREATE|ALL") && adapter.to.has(SqlFeature.SCHEMA_GRANTS);
            default -> false;
        };
    }
}
