package raftcart.sql.parse;

import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import raftcart.sql.Span;
import raftcart.sql.TokenCursor;
import raftcart.sql.tree.CodeStatement.Condition;
import raftcart.sql.tree.CodeStatement.Declaration;
import raftcart.sql.tree.CodeStatement.Mode;
import raftcart.sql.tree.CodeStatement.Parameter;
import raftcart.sql.tree.Expr;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;

/** Reads what blocks of PL/SQL declare ("Block", "Collection and Record Type Declaration", PL/SQL). */
final class PlSqlDeclarations {
    private final Parsing parsing;
    private final TokenCursor cursor;
    private final String routine;
    private final Map<String, TypeName> subtypes = new HashMap<>();
    private final Map<String, List<Parameter>> records = new HashMap<>();
    private PlParser within;

    /** Reads what one routine declares; the states of its exceptions follow from its name. */
    PlSqlDeclarations(Parsing parsing, String routine) {
        this.parsing = parsing;
        this.cursor = parsing.cursor;
        this.routine = routine;
    }

    /** Reads what a routine of a package declares, which sees the types that the package declares. */
    PlSqlDeclarations(Parsing parsing, PlSqlDeclarations outer, String routine) {
        this(parsing, outer.routine + "." + routine);
        subtypes.putAll(outer.subtypes);
        records.putAll(outer.records);
    }

    /** What reads the parts that are not declarations. */
    void within(PlParser parser) {
        within = parser;
    }

    List<Declaration> declaration() {
        Span span = cursor.peek().span();
        if (cursor.takeWords("CURSOR")) {
            return List.of(cursor(span));
        }
        if (cursor.takeWords("PRAGMA")) {
            return pragma();
        }
        if (cursor.takeWords("TYPE")) {
            record();
            return List.of();
        }
        if (cursor.takeWords("SUBTYPE")) {
            String name = parsing.name().key();
            cursor.expectWords("IS");
            subtypes.put(name, type());
            refuseNotNull();
            return List.of();
        }
        if (cursor.peek().isAnyWord("PROCEDURE", "FUNCTION")) {
            throw cursor.byHand("a routine within a routine");
        }
        if (cursor.peek().isAnyWord("CONTINUE", "EXIT") && cursor.peek(1).isWord("HANDLER")) {
            throw cursor.byHand("a handler among declarations");
        }
        return variables(span);
    }

    private List<Declaration> variables(Span span) {
        List<Name> names = parsing.list(parsing::name);
        if (cursor.takeWords("EXCEPTION")) {
            return names.stream().map(this::exception).toList();
        }
        if (cursor.takeWords("CONDITION")) {
            throw cursor.byHand("a condition among declarations");
        }
        boolean constant = cursor.takeWords("CONSTANT");
        TypeName type = type();
        refuseNotNull();
        List<Parameter> fields = records.get(type.name());
        boolean row = type.name().endsWith(TypeName.OF_ROW);
        if (fields == null && !row) {
            Optional<Expr> initial = within.initial();
            return names.stream()
                    .<Declaration>map(n -> new Declaration.Variable(n, type, initial, constant, span))
                    .toList();
        }
        if (within.initial().isPresent()) {
            throw cursor.byHand("a row that begins with a value");
        }
        Optional<QualifiedName> of = row ? Optional.of(rowOf(type)) : Optional.empty();
        return names.stream()
                .<Declaration>map(n -> new Declaration.Row(n, of, row ? List.of() : fields, span))
                .toList();
    }

    private static QualifiedName rowOf(TypeName type) {
        String name = type.name().substring(0, type.name().length() - TypeName.OF_ROW.length());
        return new QualifiedName(
                List.of(name.split("\\.")).stream().map(Name::of).toList());
    }

    private Declaration exception(Name name) {
        Condition state = new Condition(Condition.Kind.STATE, PlSqlErrors.declared(routine, name.text()));
        return new Declaration.NamedCondition(name, state);
    }

    /** A type, perhaps one that was declared here. */
    TypeName type() {
        cursor.takeWords("REF"); // of objects and cursors; the name behind it says which
        TypeName type = AnchoredTypes.read(parsing);
        if (cursor.takeWords("TYPE", "OF")) {
            throw cursor.byHand("a variable of the type of a column or row");
        }
        while (cursor.takeWords("CHARACTER", "SET") || cursor.takeWords("CHARSET") || cursor.takeWords("COLLATE")) {
            cursor.take();
        }
        if (type.name().equals("sys_refcursor")) {
            return TypeName.of("refcursor");
        }
        if (cursor.takeWords("RANGE")) {
            throw cursor.byHand("a type with a range");
        }
        return subtypes.getOrDefault(type.name(), type);
    }

    private void refuseNotNull() {
        if (cursor.takeWords("NOT", "NULL")) {
            throw cursor.byHand("a variable that takes no NULL");
        }
    }

    private Declaration cursor(Span span) {
        Name name = parsing.name();
        List<Parameter> parameters = within.cursorParameters();
        if (cursor.takeWords("RETURN")) {
            type();
        }
        if (!cursor.takeAny("IS", "FOR")) {
            throw cursor.unexpected("IS");
        }
        return new Declaration.Cursor(name, parameters, parsing.queries.query(), span);
    }

    private List<Declaration> pragma() {
        if (cursor.takeWords("EXCEPTION_INIT")) {
            cursor.expectSymbol("(");
            Name name = parsing.name();
            cursor.expectSymbol(",");
            String number = parsing.wholeNumber().toString();
            cursor.expectSymbol(")");
            String state = PlSqlErrors.state(number);
            boolean own = !state.equals(number);
            return List.of(new Declaration.NamedCondition(
                    name, new Condition(own ? Condition.Kind.STATE : Condition.Kind.NUMBER, state)));
        }
        if (cursor.peek().isAnyWord("AUTONOMOUS_TRANSACTION", "SERIALLY_REUSABLE")) {
            throw cursor.byHand("PRAGMA " + parsing.word());
        }
        cursor.take(); // advice to the compiler
        if (cursor.peek().isSymbol("(")) {
            parsing.skipParentheses();
        }
        return List.of();
    }

    private void record() {
        String name = parsing.name().key();
        cursor.expectWords("IS");
        if (cursor.takeWords("REF", "CURSOR")) {
            if (cursor.takeWords("RETURN")) {
                AnchoredTypes.read(parsing); // what its rows are is known by its queries
            }
            subtypes.put(name, TypeName.of("refcursor"));
            return;
        }
        if (!cursor.takeWords("RECORD")) {
            throw cursor.byHand("a collection");
        }
        cursor.expectSymbol("(");
        List<Parameter> fields = parsing.list(() -> {
            Name field = parsing.name();
            TypeName type = type();
            refuseNotNull();
            return new Parameter(Mode.IN, field, type, within.initial());
        });
        cursor.expectSymbol(")");
        records.put(name, fields);
    }
}
