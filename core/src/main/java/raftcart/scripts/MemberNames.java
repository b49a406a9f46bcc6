package raftcart.scripts;

import java.util.stream.Collectors;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.Name;

/** What membership in roles is called in reports, as rights have no names. */
final class MemberNames {
    private MemberNames() {}

    static String of(DdlStatement.RoleMembers members) {
        String roles = members.roles().stream().map(Name::text).collect(Collectors.joining(", "));
        return (members.revoke() ? "no longer " : "") + String.join(", ", members.members()) + " in " + roles;
    }
}
