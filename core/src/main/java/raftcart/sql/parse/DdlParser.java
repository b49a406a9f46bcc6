package raftcart.sql.parse;

import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.Token;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.CreateTable.Temporary;
import raftcart.sql.tree.DdlStatement.CreateView.CheckOption;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Query;
import raftcart.sql.tree.Statement;
import raftcart.sql.tree.TableParts.ColumnDefinition;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TypeName;

/** Reads CREATE; DROP, COMMENT and GRANT are read by {@link DropParser} and {@link GrantParser}. */
final class DdlParser {
    private final Parsing parsing;
    private final TokenCursor cursor;

    DdlParser(Parsing parsing) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
    }

    Statement create() {
        Token verb = cursor.take();
        Span span = verb.span();
        boolean orReplace = verb.isAnyWord("REPLACE", "RECREATE")
                || cursor.takeWords("OR", "REPLACE")
                || cursor.takeWords("OR", "ALTER");
        List<String> prefix = new ArrayList<>();
        prefix(prefix);
        Temporary temporary = temporary();
        if (verb.isWord("DECLARE") && temporary == Temporary.GLOBAL) {
            temporary = Temporary.SESSION; // DECLARE makes a table of the session, whatever it is called
        }
        while (cursor.takeAny(ClauseWords.TABLE_KINDS)) {
            if (cursor.previous().isAnyWord("FOREIGN", "EXTERNAL")) {
                throw cursor.byHand("an external table");
            }
            boolean set = cursor.previous().isWord("SET");
            prefix.add(set ? "SET: no row twice" : cursor.previous().text());
            temporary = temporary == Temporary.NO ? temporary() : temporary;
        }
        return created(orReplace, temporary, prefix, span);
    }

    private Statement created(boolean orReplace, Temporary temporary, List<String> prefix, Span span) {
        String kind = parsing.word();
        switch (kind) {
            case "TABLE":
                cursor.take();
                prefix.addAll(orReplace ? List.of("OR REPLACE") : List.of());
                return new TableDefinitionParser(parsing).table(temporary, prefix, span);
            case "VIEW", "MATERIALIZED", "RECURSIVE", "FORCE", "NO", "NOFORCE", "SNAPSHOT":
                return view(orReplace, temporary != Temporary.NO, prefix, span);
            case "UNIQUE",
                    "INDEX",
                    "CLUSTERED",
                    "NONCLUSTERED",
                    "BITMAP",
                    "FULLTEXT",
                    "SPATIAL",
                    "PRIMARY",
                    "HASH",
                    "COLUMNSTORE",
                    "ASC",
                    "DESC",
                    "ASCENDING",
                    "DESCENDING",
                    "INVERTED":
                return replacing(orReplace, index(span));
            case "SEQUENCE", "GENERATOR":
                cursor.take();
                return sequence(false, span);
            case "SCHEMA", "DATABASE":
                return schema(span);
            case "TYPE", "DISTINCT":
                cursor.takeWords("DISTINCT");
                cursor.expectWords("TYPE");
                return type(span);
            case "DOMAIN":
                cursor.take();
                return domain(span);
            case "SYNONYM", "PUBLIC", "ALIAS", "NICKNAME":
                return synonym(orReplace, span);
            case "EXTENSION":
                return extension(span);
            default:
                return routine(kind, orReplace, span);
        }
    }

    private static Statement replacing(boolean orReplace, Statement made) {
        return orReplace && made instanceof DdlStatement.CreateIndex index ? index.orReplace() : made;
    }

    private void prefix(List<String> prefix) {
        while (true) {
            if (cursor.takeAny("EDITIONABLE", "NONEDITIONABLE")) {
                continue;
            }
            if (cursor.takeWords("ALGORITHM")) {
                cursor.expectSymbol("=");
                prefix.add("ALGORITHM = " + cursor.take().text());
            } else if (cursor.peek().isWord("DEFINER") && cursor.peek(1).isSymbol("=")) {
                cursor.take();
                cursor.take();
                StringBuilder user = new StringBuilder(cursor.take().text());
                if (cursor.peek().text().startsWith("@")) {
                    user.append(cursor.take().text());
                    if (cursor.previous().isSymbol("@")) {
                        user.append(cursor.take().text());
                    }
                }
                prefix.add("DEFINER = " + user);
            } else if (cursor.takeWords("SQL", "SECURITY")) {
                prefix.add("SQL SECURITY " + cursor.take().text());
            } else {
                return;
            }
        }
    }

    private Temporary temporary() {
        if (cursor.takeWords("GLOBAL")) {
            cursor.takeAny("TEMPORARY", "TEMP");
            return Temporary.GLOBAL;
        }
        if (cursor.takeWords("PRIVATE", "TEMPORARY")) {
            return Temporary.SESSION;
        }
        boolean session = cursor.peek().isAnyWord("LOCAL", "TEMPORARY", "TEMP", "VOLATILE", "SESSION");
        if (!session) {
            return Temporary.NO;
        }
        while (cursor.takeAny("LOCAL", "TEMPORARY", "TEMP", "VOLATILE", "SESSION")) {
            continue;
        }
        return Temporary.SESSION;
    }

    private Statement view(boolean orReplace, boolean temporary, List<String> leftOut, Span span) {
        boolean materialized = false;
        boolean recursive = false;
        while (!cursor.takeWords("VIEW")) {
            if (cursor.peek().isAnyWord("ALIAS", "TRIGGER", "AGGREGATE")) {
                throw cursor.byHand(cursor.peek().text().toLowerCase(Locale.ROOT));
            }
            materialized |= cursor.peek().isAnyWord("MATERIALIZED", "SNAPSHOT");
            recursive |= cursor.peek().isWord("RECURSIVE");
            if (cursor.peek().isAnyWord("LOG", "QUERY")) {
                throw cursor.byHand("a materialized view log");
            }
            if (!cursor.takeAny("MATERIALIZED", "RECURSIVE", "FORCE", "NO", "NOFORCE", "EDITIONABLE")) {
                throw cursor.unexpected("VIEW");
            }
        }
        if (cursor.peek().isWord("LOG") && cursor.peek(1).isWord("ON")) {
            throw cursor.byHand("a materialized view log");
        }
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        QualifiedName name = parsing.qualifiedName();
        if (cursor.takeWords("OF")) {
            throw cursor.byHand("a view of objects");
        }
        parsing.commentBehindName(leftOut);
        List<Name> columns = viewColumns(leftOut);
        while (!cursor.peek().isWord("AS")) {
            leftOut.add(viewClause());
        }
        cursor.expectWords("AS");
        Query query = parsing.queries.query();
        CheckOption check = checkOption(leftOut);
        while (cursor.peek().isAnyWord("WITH", "REFRESH", "DATA", "MAINTAINED", "ENABLE", "DISABLE")) {
            leftOut.add(viewClause());
        }
        return new DdlStatement.CreateView(
                name, orReplace, ifNotExists, materialized, temporary, recursive, columns, query, check, leftOut, span);
    }

    private CheckOption checkOption(List<String> leftOut) {
        CheckOption check = CheckOption.NONE;
        if (cursor.takeWords("WITH", "READ", "ONLY")) {
            check = CheckOption.READ_ONLY;
        } else if (cursor.takeWords("WITH", "LOCAL", "CHECK", "OPTION")) {
            check = CheckOption.LOCAL;
        } else if (cursor.takeWords("WITH", "CASCADED", "CHECK", "OPTION")
                || cursor.takeWords("WITH", "CHECK", "OPTION")) {
            check = CheckOption.CASCADED;
        } else if (cursor.takeWords("WITH", "NO", "DATA") || cursor.takeWords("DATA", "INITIALLY", "DEFERRED")) {
            leftOut.add("WITH NO DATA");
        } else {
            cursor.takeWords("WITH", "DATA");
        }
        if (check != CheckOption.NONE && cursor.takeWords("CONSTRAINT")) {
            parsing.name();
        }
        return check;
    }

    /** Names of columns, with what may stand beside them passed over. */
    private List<Name> viewColumns(List<String> leftOut) {
        List<Name> columns = new ArrayList<>();
        if (!cursor.takeSymbol("(")) {
            return columns;
        }
        do {
            columns.add(parsing.name());
            if (cursor.takeWords("COMMENT")) {
                leftOut.add("COMMENT " + cursor.take().text());
            }
        } while (cursor.takeSymbol(","));
        cursor.expectSymbol(")");
        return columns;
    }

    private String viewClause() {
        StringBuilder text = new StringBuilder();
        if (cursor.atEnd()) {
            throw cursor.unexpected("AS");
        }
        do {
            text.append(text.isEmpty() ? "" : " ");
            text.append(
                    cursor.peek().isSymbol("(")
                            ? parsing.skipParentheses()
                            : cursor.take().text());
        } while (!cursor.atEnd()
                && !cursor.peek().isSymbol(";")
                && !cursor.peek().isWord("AS"));
        return text.toString();
    }

    /** What follows CREATE SEQUENCE or ALTER SEQUENCE. */
    Statement sequence(boolean alter, Span span) {
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        if (alter) {
            cursor.takeWords("IF", "EXISTS");
        }
        QualifiedName name = parsing.qualifiedName();
        Optional<TypeName> type = cursor.takeWords("AS") ? Optional.of(TypeNameParser.parse(cursor)) : Optional.empty();
        List<String> leftOut = new ArrayList<>();
        if (alter && cursor.atWords("RENAME")) {
            throw cursor.byHand("another name for a sequence");
        }
        if (alter && cursor.takeWords("OWNER", "TO")) {
            cursor.take();
            return new Statement.ClientCommand("ALTER SEQUENCE ... OWNER TO", span);
        }
        IdentityParser identity = new IdentityParser(parsing);
        IdentityOptions options = identity.options(true, leftOut);
        return new DdlStatement.CreateSequence(
                name, alter, ifNotExists, type, options, identity.restart(), leftOut, span);
    }

    private Statement schema(Span span) {
        boolean database = cursor.take().isWord("DATABASE");
        if (database
                && cursor.peek().isAnyWord("LINK", "SCOPED", "AUDIT", "ENCRYPTION")
                && cursor.peek(1).isName()) {
            return other("LINK", span);
        }
        boolean ifNotExists = cursor.takeWords("IF", "NOT", "EXISTS");
        List<String> leftOut = new ArrayList<>();
        if (cursor.takeWords("AUTHORIZATION")) {
            return new DdlStatement.CreateSchema(parsing.name(), ifNotExists, database, leftOut, span);
        }
        Name name = parsing.qualifiedName().last();
        while (!cursor.atEnd()
                && !cursor.peek().isSymbol(";")
                && (cursor.peek().isAnyWord("SET", "WITH") || !Keywords.startsStatement(cursor.peek()))) {
            leftOut.add(cursor.take().text());
        }
        if (cursor.peek().isAnyWord("CREATE", "GRANT") && !parsing.has(GrammarFeature.STATEMENTS_WITHOUT_SEPARATOR)) {
            throw cursor.byHand("a schema with its objects in one statement");
        }
        return new DdlStatement.CreateSchema(
                name, ifNotExists, database, leftOut.isEmpty() ? leftOut : List.of(String.join(" ", leftOut)), span);
    }

    private Statement type(Span span) {
        QualifiedName name = parsing.qualifiedName();
        if (cursor.takeWords("FROM")) {
            TypeName base = TypeNameParser.parse(cursor);
            boolean notNull = cursor.takeWords("NOT", "NULL");
            cursor.takeWords("NULL");
            return new DdlStatement.CreateDomain(name, base, notNull, Optional.empty(), List.of(), span);
        }
        if (cursor.takeWords("AS", "ENUM")) {
            cursor.expectSymbol("(");
            List<String> values = cursor.peek().isSymbol(")") ? List.of() : parsing.list(parsing::string);
            cursor.expectSymbol(")");
            return new DdlStatement.CreateType(name, values, List.of(), span);
        }
        if (cursor.takeWords("AS") && cursor.peek().isSymbol("(")) {
            cursor.take();
            List<ColumnDefinition> fields = parsing.list(() -> new ColumnParser(parsing).column());
            cursor.expectSymbol(")");
            if (cursor.takeWords("MODE")) {
                cursor.take();
            }
            return new DdlStatement.CreateType(name, List.of(), fields, span);
        }
        boolean distinct = cursor.previous().isWord("AS") && cursor.peek().isName() && !isStructure();
        if (distinct) {
            TypeName base = TypeNameParser.parse(cursor);
            cursor.takeWords("WITH", "COMPARISONS");
            return new DdlStatement.CreateDomain(name, base, false, Optional.empty(), List.of(), span);
        }
        throw cursor.byHand("a type of this kind");
    }

    private boolean isStructure() {
        return cursor.peek().isAnyWord("OBJECT", "TABLE", "VARRAY", "VARYING", "RANGE", "ENUM", "OPAQUE", "REF");
    }

    private Statement domain(Span span) {
        QualifiedName name = parsing.qualifiedName();
        cursor.takeWords("AS");
        TypeName type = TypeNameParser.parse(cursor);
        boolean notNull = false;
        Optional<Expr> defaultValue = Optional.empty();
        List<Expr> checks = new ArrayList<>();
        while (!cursor.atEnd() && !cursor.peek().isSymbol(";")) {
            if (cursor.takeWords("CONSTRAINT")) {
                parsing.name();
            }
            if (cursor.takeWords("NOT", "NULL")) {
                notNull = true;
            } else if (cursor.takeWords("DEFAULT")) {
                defaultValue = Optional.of(parsing.expressions.expression(OperatorTable.OTHER));
            } else if (cursor.takeWords("CHECK")) {
                cursor.expectSymbol("(");
                checks.add(parsing.expressions.expression());
                cursor.expectSymbol(")");
            } else if (cursor.takeWords("CHARACTER", "SET")) {
                type = ColumnMeanings.inCharacterSet(type, cursor.take().text());
            } else if (cursor.takeWords("COLLATE")) {
                parsing.qualifiedName();
            } else if (!cursor.takeWords("NULL")) {
                throw cursor.unexpected("a clause of a domain");
            }
        }
        return new DdlStatement.CreateDomain(name, type, notNull, defaultValue, checks, span);
    }

    /** What follows ALTER DOMAIN, where it adds a check. */
    Optional<Statement> domainCheck(Span span) {
        int mark = cursor.mark();
        if (cursor.takeWords("DOMAIN")) {
            QualifiedName name = parsing.qualifiedName();
            boolean adds = cursor.takeWords("ADD");
            if (adds && cursor.takeWords("CONSTRAINT") && !cursor.peek().isWord("CHECK")) {
                parsing.qualifiedName();
            }
            if (adds && cursor.takeWords("CHECK")) {
                cursor.expectSymbol("(");
                Expr check = parsing.expressions.expression();
                cursor.expectSymbol(")");
                cursor.takeWords("NOCHECK");
                return Optional.of(new DdlStatement.DomainCheck(name, check, span));
            }
        }
        cursor.reset(mark);
        return Optional.empty();
    }

    private Statement synonym(boolean orReplace, Span span) {
        boolean common = cursor.takeWords("PUBLIC");
        if (cursor.peek().isWord("NICKNAME") || cursor.atWords("DATABASE", "LINK")) {
            throw cursor.byHand("objects of another database");
        }
        if (!cursor.takeAny("SYNONYM", "ALIAS")) {
            throw cursor.unexpected("SYNONYM");
        }
        QualifiedName name = parsing.qualifiedName();
        if (cursor.peek().isWord("AS") && cursor.peek(1).isString()) {
            throw cursor.byHand("a function in the code of another language");
        }
        cursor.expectWords("FOR");
        if (cursor.peek(1).isName() && cursor.peek().isAnyWord("TABLE", "SEQUENCE", "MODULE")) {
            cursor.take();
        }
        return new DdlStatement.CreateSynonym(name, parsing.qualifiedName(), orReplace, common, span);
    }

    private Statement routine(String kind, boolean orReplace, Span span) {
        if (kind.matches("FUNCTION|PROC|PROCEDURE|TRIGGER") && parsing.has(GrammarFeature.TSQL_ROUTINES)) {
            return new TsqlRoutineParser(parsing).create(orReplace, span);
        }
        boolean routine = kind.matches("FUNCTION|PROCEDURE|TRIGGER");
        if (routine && parsing.has(GrammarFeature.PSM_ROUTINES)) {
            return new RoutineParser(parsing).create(orReplace, span);
        }
        if (kind.equals("TRIGGER") && parsing.has(GrammarFeature.TRIGGERS_ARE_CHANGES)) {
            return new ChangeTriggerParser(parsing).create(span);
        }
        if (routine && parsing.has(GrammarFeature.PLSQL_ROUTINES)) {
            return new PlSqlRoutineParser(parsing).create(orReplace, span);
        }
        if (routine && parsing.has(GrammarFeature.PSQL_ROUTINES)) {
            return new PsqlRoutineParser(parsing).create(orReplace, span);
        }
        if (kind.equals("PACKAGE") && parsing.has(GrammarFeature.PLSQL_ROUTINES)) {
            return new PackageParser(parsing).create(orReplace, span);
        }
        return routine && parsing.has(GrammarFeature.BODIES_ARE_TEXTS)
                ? new DollarRoutineParser(parsing).create(orReplace, span)
                : other(kind, span);
    }

    private Statement index(Span span) {
        return cursor.atWords("SPATIAL", "REFERENCE") ? other("SPATIAL", span) : new IndexParser(parsing).index(span);
    }

    private Statement extension(Span span) {
        cursor.take();
        cursor.takeWords("IF", "NOT", "EXISTS");
        Name name = parsing.name();
        StatementParser.skipStatement(cursor);
        return name.text().equals("plpgsql")
                ? new Statement.ClientCommand("CREATE EXTENSION plpgsql", span)
                : new Statement.NotTranslated("extension " + name.text(), false, span);
    }

    private Statement other(String word, Span span) {
        int words = cursor.peek().isAnyWord("PROCEDURAL", "TRUSTED") ? 1 : 0;
        if (cursor.peek(words).isWord("LANGUAGE") && cursor.peek(words + 1).isWord("PLPGSQL")) {
            StatementParser.skipStatement(cursor);
            return new Statement.ClientCommand("CREATE LANGUAGE plpgsql", span); // it is always there
        }
        if (word.equals("EXCEPTION") && parsing.has(GrammarFeature.PSQL_ROUTINES)) {
            StatementParser.skipStatement(cursor);
            return new Statement.ClientCommand("CREATE EXCEPTION", span); // code raises it by a state of its own
        }
        if (word.equals("ROLE") || word.equals("GROUP") && parsing.has(GrammarFeature.TYPED_TEXTS)) {
            return new RoleParser(parsing).create(span);
        }
        String kind = cursor.peek(1).isWord("AGGREGATE") ? "AGGREGATE" : word;
        boolean routine = kind.matches("PROCEDURE|PROC|FUNCTION|TRIGGER|PACKAGE|EVENT|AGGREGATE|MACRO|RULE|JAVA|LIBRARY"
                + "|CONSTRAINT|METHOD|ASSEMBLY|COMPOUND|MODULE");
        if (!routine
                && !kind.matches(
                        "LARGE|REGULAR|BIGFILE|SMALLFILE|UNDO|SYSTEM|LINK|JOIN|VIRTUAL|LINKED|CHANGEFEED|USER|LOGIN|TABLESPACE|DIRECTORY|SERVER|PROFILE|POLICY|OPERATOR|CAST|COLLATION"
                                + "|STATISTICS|PUBLICATION|SUBSCRIPTION|STAGE|FILE|WAREHOUSE|STREAM|TASK|PIPE|CONTEXT|CLUSTER|PARTITION"
                                + "|BUFFERPOOL|STOGROUP|LANGUAGE|TEXT|XML|FULLTEXT|MESSAGE|QUEUE|SERVICE|CERTIFICATE|CREDENTIAL|EXCEPTION"
                                + "|VARIABLE|MASK|PERMISSION|ACCESS|EVENTTABLE|CONVERSION|TRANSFORM|SECRET|CONSTANT|SERVICECLASS"
                                + "|GLOBAL|DEFAULT|SHADOW|FILTER|HISTOGRAM|DIMENSION|OUTLINE|RESTORE|SPFILE|PFILE|CONTROLFILE|DISKGROUP"
                                + "|EDITION|FLASHBACK|INDEXTYPE|INMEMORY|LOGFILE|RESOURCE|WORKLOAD|BLOB|REMOTE|SEARCH|SECURITY|SYMMETRIC"
                                + "|ASYMMETRIC|CRYPTOGRAPHIC|BROKER|CONTRACT|ENDPOINT|ROUTE|APPLICATION|AVAILABILITY|COLUMN|MASTER|ERROR|MASKING|ROW|NETWORK|TAG|ALERT|INTEGRATION|NOTIFICATION|API|STORAGE|SHARE|MANAGED"
                                + "|REPLICATION|FAILOVER|PASSWORD|SESSION|AGGREGATION|PROJECTION|IMAGE|COMPUTE|MODEL|SPATIAL|TRUSTED|LOCKDOWN|ROLLBACK|PLUGGABLE|ANALYTIC|HIERARCHY|ATTRIBUTE|QUOTA|STREAMLIT|NOTEBOOK|MAPPING|SCHEDULE")) {
            throw cursor.unexpected("the kind of object to create");
        }
        if (isStorage()) {
            StatementParser.skipStatement(cursor);
            String what = kind.matches("LARGE|REGULAR|BIGFILE|SMALLFILE|UNDO|USER|SYSTEM") ? "TABLESPACE" : kind;
            return new Statement.ClientCommand("CREATE " + what + ", storage of the source's server", span);
        }
        if (routine || kind.equals("TASK")) {
            StatementParser.skipRest(cursor); // the text was cut at the end of the routine
        }
        StatementParser.skipStatement(cursor);
        return new Statement.NotTranslated(kind.toLowerCase(Locale.ROOT), routine, span);
    }

    private boolean isStorage() {
        boolean ofSomeKind =
                cursor.peek().isAnyWord("LARGE", "REGULAR", "BIGFILE", "SMALLFILE", "UNDO", "USER", "SYSTEM");
        int at = ofSomeKind ? 1 : 0;
        at += cursor.peek(at).isWord("TEMPORARY") ? 1 : 0;
        return cursor.peek(at).isWord("TABLESPACE")
                || cursor.peek()
                        .isAnyWord("BUFFERPOOL", "STOGROUP", "DISKGROUP", "CONTROLFILE", "SPFILE", "PFILE", "LOGFILE");
    }
}
