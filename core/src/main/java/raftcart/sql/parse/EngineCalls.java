package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.regex.Pattern;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.TokenKind;
import raftcart.sql.tree.AlterAction;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.RenameObject;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.QueryBody;
import raftcart.sql.tree.Statement;

/** Reads calls of procedures of the engine that say in their arguments what others say in statements. */
final class EngineCalls {
    private static final List<String> PROPERTY_ARGUMENTS = List.of(
            "name", "value", "level0type", "level0name", "level1type", "level1name", "level2type", "level2name");

    /** Procedures that come with an engine. */
    private static final Pattern OF_THE_ENGINE =
            Pattern.compile("(\\w+\\.)*(sp|xp)_\\w+|(sysproc|sysibmadm|sysibm|syscs_util|dbms_\\w+|utl_\\w+"
                    + "|owa_\\w+|ctx_\\w+|sys\\.dbms_\\w+|dbc|rdb\\$\\w+)\\..*");

    private final Parsing parsing;
    private final TokenCursor cursor;
    private final Grammar grammar;

    EngineCalls(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.grammar = parsing.grammar;
    }

    /** {@code EXEC sp_addextendedproperty}: the description of a table or column is its comment. */
    Statement extendedProperty(Span span) {
        Map<String, String> arguments = arguments();
        boolean description = arguments.getOrDefault("name", "").equalsIgnoreCase("MS_Description");
        String object = arguments.getOrDefault("level1type", "").toUpperCase(Locale.ROOT);
        String part = arguments.getOrDefault("level2type", "").toUpperCase(Locale.ROOT);
        boolean known = description
                && object.matches("TABLE|VIEW")
                && part.matches("|COLUMN")
                && arguments.containsKey("value")
                && arguments.containsKey("level1name");
        if (!known) {
            return new Statement.ClientCommand("EXEC sp_addextendedproperty", span);
        }
        List<String> names = new ArrayList<>();
        if (arguments.containsKey("level0name")) {
            names.add(arguments.get("level0name"));
        }
        names.add(arguments.get("level1name"));
        if (part.equals("COLUMN")) {
            names.add(arguments.getOrDefault("level2name", ""));
        }
        return new DdlStatement.Comment(
                part.isEmpty() ? object : part,
                QualifiedName.of(names.toArray(String[]::new)),
                Optional.of(arguments.get("value")),
                span);
    }

    /** The texts among the arguments, by name; NULL and what is no text are left out. */
    private Map<String, String> arguments() {
        Map<String, String> arguments = new LinkedHashMap<>();
        int place = 0;
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            String name = place < PROPERTY_ARGUMENTS.size() ? PROPERTY_ARGUMENTS.get(place) : "";
            Token token = cursor.peek();
            boolean named =
                    token.kind() == TokenKind.PARAMETER && cursor.peek(1).isSymbol("=");
            if (named) {
                name = token.text().substring(1).toLowerCase(Locale.ROOT);
                cursor.take();
                cursor.take();
            }
            if (cursor.peek().isString()) {
                arguments.put(name, cursor.peek().value());
            }
            if (Keywords.startsStatement(cursor.peek())) {
                break;
            }
            cursor.take();
            place++;
            if (!cursor.takeSymbol(",")) {
                break;
            }
        }
        return arguments;
    }

    /** A statement given as a constant text, alone; its places are those of the text. */
    Optional<Statement> executed() {
        int mark = cursor.mark();
        boolean parenthesis = cursor.takeSymbol("(");
        if (cursor.peek().kind() == TokenKind.PARAMETER && cursor.peek(1).isSymbol("=")) {
            cursor.take();
            cursor.take();
        }
        Token text = cursor.peek();
        boolean alone = text.isString() && ends(parenthesis);
        if (!alone) {
            cursor.reset(mark);
            return Optional.empty();
        }
        cursor.take();
        if (parenthesis) {
            cursor.expectSymbol(")");
        }
        List<StatementParser.Parsed> parsed = StatementParser.parse(
                        text.value(), grammar, text.span().line(), text.span().column())
                .statements();
        if (parsed.size() != 1 || parsed.get(0).statement().isEmpty()) {
            throw cursor.byHand("SQL put together as text");
        }
        return parsed.get(0).statement();
    }

    private boolean ends(boolean parenthesis) {
        Token next = cursor.peek(1);
        boolean closed = !parenthesis || next.isSymbol(")");
        Token after = parenthesis ? cursor.peek(2) : next;
        return closed && (after.kind() == TokenKind.END || after.isSymbol(";") || Keywords.startsStatement(after));
    }

    /** MariaDB's {@code DO SETVAL(s, 41, 0)}, which is a query for the sake of what it does. */
    Statement position(Span span) {
        cursor.expectWords("DO");
        QueryBody.Item position = QueryBody.Item.of(new ExprParser(parsing).expression());
        Query query = Query.of(QueryBody.Select.of(List.of(position), List.of(), Optional.empty()));
        return new Statement.QueryStatement(query, Optional.empty(), false, span);
    }

    /** A procedure that comes with the engine. */
    Optional<Statement> read(QualifiedName name, Span span) {
        if (name.last().key().equals("sp_addextendedproperty")) {
            return Optional.of(extendedProperty(span));
        }
        if (name.last().key().equals("sp_executesql")) {
            Optional<Statement> executed = executed();
            if (executed.isPresent()) {
                return executed;
            }
        }
        if (name.key()
                .matches("(\\w+\\.){0,2}sp_(settriggerorder|tableoption|fulltext_database|db_vardecimal_storage_format"
                        + "|dropextendedproperty|dbcmptlevel|dboption|updatestats|recompile|refreshview)")) {
            skipToNext();
            return Optional.of(new Statement.ClientCommand("EXEC " + name, span));
        }
        if (name.last().key().equals("sp_rename")
                && cursor.peek().isString()
                && cursor.peek(2).isString()) {
            return Optional.of(rename(cursor.take().value(), span));
        }
        if (name.key().equals("sysproc.admin_cmd") && isMaintenance(cursor.peek(1))) {
            String command = cursor.peek(1).value();
            skipToNext();
            return Optional.of(new Statement.ClientCommand(command, span));
        }
        if (OF_THE_ENGINE.matcher(name.key()).matches()) {
            skipToNext();
            return Optional.of(new Statement.NotTranslated(name + ", a procedure of the engine", false, span));
        }
        return Optional.empty();
    }

    /** DB2's commands for the storage and the statistics of a table, which change nothing of it. */
    private static boolean isMaintenance(Token command) {
        return command.isString() && command.value().strip().matches("(?is)(REORG|RUNSTATS|PRUNE|QUIESCE)\\b.*");
    }

    /** T-SQL's {@code EXEC sp_rename 's.t.c', 'new', 'COLUMN'}, {@code 'INDEX'}, {@code 'OBJECT'} or without a kind. */
    private Statement rename(String path, Span span) {
        List<Name> parts = new ArrayList<>();
        for (String part : path.split("\\.")) {
            parts.add(new Name(part.replaceAll("^\\[|\\]$", ""), false));
        }
        cursor.expectSymbol(",");
        Name to = Name.of(cursor.take().value());
        String kind = cursor.takeSymbol(",") ? cursor.take().value().toUpperCase(Locale.ROOT) : "OBJECT";
        boolean part = kind.matches("COLUMN|INDEX") && parts.size() > 1;
        if (!part && !kind.equals("OBJECT")) {
            return new Statement.NotTranslated("sp_rename of this kind", false, span);
        }
        QualifiedName whole = new QualifiedName(parts);
        if (!part) {
            return new DdlStatement.RenameObject(RenameObject.Kind.TABLE_OR_CONSTRAINT, whole, to, span);
        }
        AlterAction action = kind.equals("COLUMN")
                ? new AlterAction.RenameColumn(whole.last(), to)
                : new AlterAction.RenamePart(true, whole.last(), to);
        return new DdlStatement.AlterTable(new QualifiedName(whole.qualifier()), false, List.of(action), span);
    }

    private void skipToNext() {
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";") && !Keywords.startsStatement(cursor.peek())) {
            cursor.take();
        }
    }
}
