package raftcart.translate;

import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import raftcart.catalog.CodeObject;
import raftcart.catalog.ObjectKind;
import raftcart.catalog.ObjectName;
import raftcart.dialect.Dialect;
import raftcart.dialect.SqlFeature;
import raftcart.error.SqlSyntaxException;
import raftcart.finding.FindingCode;
import raftcart.plan.Grants;
import raftcart.rewrite.ObjectRewriter;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;
import raftcart.translate.ObjectRenamer.Relation;

/** Translates rights, for the objects by their names on the target, and makes roles of those who have them. */
final class GrantTranslator {
    private static final String SERVER = "users and roles belong to the server; look who is to have these rights there";
    private static final Pattern PLAIN = Pattern.compile("[A-Za-z_]\\w*");

    private static final Pattern COLUMNS = Pattern.compile("(.*) \\((.*)\\)");

    private final CodeTranslator code;
    private final NameMapper names;
    private final Dialect to;
    private final Grants form;
    private final Notes notes;

    GrantTranslator(CodeTranslator code, NameMapper names, Dialect to, Grants form, Notes notes) {
        this.code = code;
        this.names = names;
        this.to = to;
        this.form = form;
        this.notes = notes;
    }

    /** A grant or a role as an object to make, or left to a person. */
    Optional<CodeMapping> translate(CodeObject object) {
        ObjectRewriter.Result result = object.kind() == ObjectKind.ROLE ? role(object) : grant(object);
        String name = object.name().toString();
        if (!result.done()) {
            notes.byHand(object.kind().fileWord(), name, object.source(), FindingCode.NOT_TRANSLATED, result.reason());
            notes.notCreated(object.kind(), name);
            return Optional.empty();
        }
        result.notes().forEach(n -> notes.find(n.code(), name, n.detail()));
        if (result.statements().isEmpty()) {
            notes.outcome(object.kind(), name); // the target gives this right to everybody
            return Optional.empty();
        }
        String text = String.join(";\n\n", result.statements());
        if (form == Grants.HAND_OVER) {
            notes.ready(
                    object.kind().fileWord(),
                    name,
                    object.source(),
                    FindingCode.RIGHTS_HANDED_OVER,
                    SERVER,
                    text + ";");
            notes.notCreated(object.kind(), name);
            return Optional.empty();
        }
        notes.outcome(object.kind(), name);
        String schema = object.name().schema().isEmpty()
                ? names.defaultSchema() // a role belongs to the server
                : names.schema(object.name().schema());
        ObjectName target = new ObjectName(schema, object.name().name());
        return Optional.of(new CodeMapping(name, new CodeObject(ObjectKind.GRANT, target, text)));
    }

    private ObjectRewriter.Result role(CodeObject object) {
        return new ObjectRewriter.Result(
                List.of(to.ddl().createRole(role(object.name().name()))), "", List.of());
    }

    private ObjectRewriter.Result grant(CodeObject object) {
        try {
            Statement statement = code.parse(object);
            if (statement instanceof DdlStatement.RoleMembers members) {
                return members(members, object);
            }
            if (!(statement instanceof DdlStatement.Grant grant)) {
                return ObjectRewriter.Result.not("rights on other than tables");
            }
            noteHosts(grant.grantees(), object);
            Optional<DdlStatement.Grant> renamed = renamed(grant);
            if (renamed.isEmpty()) {
                return ObjectRewriter.Result.not("it names an object that is not on the target");
            }
            ObjectRewriter.Result result = code.rewriter().rewrite(renamed.get());
            return result.done() && !result.statements().isEmpty() ? withRoles(renamed.get(), result) : result;
        } catch (SqlSyntaxException e) {
            return ObjectRewriter.Result.not(e.getMessage());
        }
    }

    /** Who is in a role, behind the roles themselves; what was a user is a role here, too. */
    private ObjectRewriter.Result members(DdlStatement.RoleMembers given, CodeObject object) {
        noteHosts(given.members(), object);
        List<String> members =
                given.members().stream().map(this::role).distinct().toList();
        List<Name> roles = given.roles().stream()
                .map(r -> new Name(role(r.text()), r.exact()))
                .toList();
        ObjectRewriter.Result result = code.rewriter()
                .rewrite(new DdlStatement.RoleMembers(given.revoke(), roles, members, given.mayGrant(), given.span()));
        if (!result.done()) {
            return result;
        }
        List<String> statements = new ArrayList<>();
        Stream.concat(roles.stream().map(Name::text), members.stream())
                .distinct()
                .forEach(r -> statements.add(to.ddl().createRole(r)));
        statements.addAll(result.statements());
        return new ObjectRewriter.Result(statements, "", result.notes());
    }

    private void noteHosts(List<String> grantees, CodeObject object) {
        grantees.stream()
                .filter(g -> g.contains("@") && !g.matches(".*@%?"))
                .forEach(g -> notes.find(FindingCode.SYNTAX_CHECK, object.name().toString(), g + " from any host"));
    }

    private Optional<DdlStatement.Grant> renamed(DdlStatement.Grant grant) {
        List<QualifiedName> objects = new ArrayList<>();
        List<String> privileges = grant.privileges();
        for (QualifiedName object : grant.objects()) {
            if (grant.kind().isEmpty()) {
                Optional<Relation> relation = code.relation(object);
                if (relation.isEmpty()) {
                    return Optional.empty();
                }
                objects.add(relation.get().name());
                privileges =
                        privileges.stream().map(p -> renamed(p, relation.get())).toList();
            } else if (grant.kind().equals("SEQUENCE")) {
                objects.add(code.sequence(object));
            } else {
                String schema = names.schema(object.last().text());
                objects.add(new QualifiedName(List.of(new Name(schema, true))));
            }
        }
        return Optional.of(new DdlStatement.Grant(
                grant.revoke(),
                privileges,
                grant.kind(),
                objects,
                grant.grantees().stream().map(this::role).distinct().toList(),
                grant.withGrant(),
                grant.span()));
    }

    /** A grantee without the host from which it comes, as a role has none; in the case of names without quotes. */
    private String role(String grantee) {
        String name = grantee.replaceFirst("@.*", "");
        return PLAIN.matcher(name).matches() ? to.grammar().names().fold(name) : name;
    }

    /** A right on columns with their names on the target. */
    private static String renamed(String privilege, Relation relation) {
        Matcher columns = COLUMNS.matcher(privilege);
        return columns.matches()
                ? columns.group(1) + " ("
                        + Stream.of(columns.group(2).split(", "))
                                .map(c -> relation.column(Name.of(c))
                                        .map(Name::text)
                                        .orElse(c))
                                .collect(Collectors.joining(", "))
                        + ")"
                : privilege;
    }

    /** The rights behind the roles that have them, and the right to reach their schema where that is one of its own. */
    private ObjectRewriter.Result withRoles(DdlStatement.Grant grant, ObjectRewriter.Result result) {
        List<String> statements = new ArrayList<>();
        List<String> roles = grant.grantees().stream()
                .filter(g -> !g.equalsIgnoreCase("public"))
                .toList();
        roles.forEach(r -> statements.add(to.ddl().createRole(r)));
        if (to.has(SqlFeature.SCHEMA_GRANTS) && !grant.revoke()) {
            List<Name> schemas = grant.objects().stream()
                    .map(o -> o.parts().get(0))
                    .distinct()
                    .toList();
            schemas.forEach(s -> roles.forEach(r ->
                    statements.add("GRANT USAGE ON SCHEMA " + to.identifiers().quote(s.text()) + " TO "
                            + to.identifiers().quote(r))));
        }
        statements.addAll(result.statements());
        return new ObjectRewriter.Result(statements, "", result.notes());
    }
}
