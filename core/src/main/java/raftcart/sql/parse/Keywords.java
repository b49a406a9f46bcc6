package raftcart.sql.parse;

import java.util.Locale;
import java.util.Set;
import raftcart.sql.Token;
import raftcart.sql.TokenKind;

/** Words that cannot be taken for names where a clause may begin. */
final class Keywords {
    private static final Set<String> ENDS_EXPRESSION = Set.of(
            "from",
            "where",
            "group",
            "having",
            "order",
            "union",
            "intersect",
            "except",
            "minus",
            "on",
            "then",
            "else",
            "end",
            "when",
            "and",
            "or",
            "as",
            "select",
            "join",
            "inner",
            "cross",
            "into",
            "using",
            "limit",
            "fetch",
            "between",
            "in",
            "like",
            "is",
            "returning",
            "create",
            "set",
            "by",
            "desc",
            "asc",
            "table");
    private static final Set<String> NO_ALIAS = Set.of(
            "all",
            "from",
            "where",
            "group",
            "having",
            "order",
            "union",
            "intersect",
            "except",
            "minus",
            "on",
            "then",
            "else",
            "end",
            "when",
            "and",
            "or",
            "as",
            "select",
            "join",
            "inner",
            "left",
            "right",
            "full",
            "cross",
            "natural",
            "into",
            "using",
            "limit",
            "offset",
            "fetch",
            "for",
            "window",
            "qualify",
            "connect",
            "start",
            "set",
            "values",
            "returning",
            "lateral",
            "pivot",
            "unpivot",
            "tablesample",
            "sample",
            "outer",
            "apply",
            "option",
            "use",
            "force",
            "ignore",
            "partition",
            "output",
            "straight_join",
            "lock",
            "procedure",
            "with",
            "is",
            "in",
            "not",
            "between",
            "like",
            "ilike",
            "collate",
            "rows",
            "plan",
            "model",
            "optimize",
            "xor",
            "asof",
            "anti",
            "semi",
            "matched",
            "overlaps",
            "at",
            "regexp",
            "rlike",
            "div",
            "mod",
            "desc",
            "asc",
            "default",
            "go",
            "retain",
            "skip",
            "within",
            "overriding",
            "merge",
            "positional",
            "final",
            "isnull",
            "notnull",
            "similar",
            "glob",
            "check",
            "read",
            "do");
    private static final Set<String> STATEMENTS = Set.of(
            "select",
            "insert",
            "update",
            "delete",
            "merge",
            "create",
            "alter",
            "drop",
            "truncate",
            "grant",
            "revoke",
            "declare",
            "begin",
            "if",
            "while",
            "exec",
            "execute",
            "print",
            "use",
            "commit",
            "rollback",
            "save",
            "deny",
            "return",
            "dbcc",
            "raiserror",
            "throw",
            "waitfor",
            "deallocate",
            "open",
            "close",
            "backup",
            "restore",
            "reconfigure",
            "checkpoint",
            "kill",
            "bulk",
            "disable",
            "enable",
            "set",
            "with",
            "go");

    private Keywords() {}

    static boolean endsExpression(Token token) {
        return token.kind() == TokenKind.WORD && ENDS_EXPRESSION.contains(lower(token));
    }

    /** True for a word that may stand as an alias without AS. */
    static boolean mayBeAlias(Token token, Grammar grammar) {
        if (token.kind() == TokenKind.QUOTED_NAME) {
            return true;
        }
        if (token.kind() != TokenKind.WORD || NO_ALIAS.contains(lower(token))) {
            return false;
        }
        return !(grammar.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR) && startsStatement(token));
    }

    /** True for a word that begins a statement where statements follow each other without separators. */
    static boolean startsStatement(Token token) {
        return token.kind() == TokenKind.WORD && STATEMENTS.contains(lower(token));
    }

    private static String lower(Token token) {
        return token.value().toLowerCase(Locale.ROOT);
    }
}
