package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.dialect.SqlFeature;
import raftcart.dialect.Untranslatable;
import raftcart.finding.FindingCode;
import raftcart.sql.parse.GrammarFeature;
import raftcart.sql.tree.CodeStatement.Event;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.DdlStatement.Drop;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.Statement;

/** Functions, procedures and triggers that are dropped: on the target they are what their translation made of them. */
final class RoutineDrops {
    private final QueryAdapter adapter;

    RoutineDrops(QueryAdapter adapter) {
        this.adapter = adapter;
    }

    List<Statement> drop(Drop drop) {
        CodeWay way = CodeWay.of(adapter.from, adapter.to);
        boolean none = adapter.to.has(SqlFeature.TRIGGERS_ALONE) && !drop.kind().equals("TRIGGER");
        if (none) {
            throw new Untranslatable("DROP " + drop.kind());
        }
        if (way == CodeWay.AS_IT_IS) {
            return List.of(drop);
        }
        if (way == CodeWay.NONE) {
            throw new Untranslatable("DROP " + drop.kind());
        }
        if (drop.kind().equals("TRIGGER")) {
            return triggers(drop, way);
        }
        return way == CodeWay.TO_RESCUES || drop.kind().equals("PROCEDURE")
                ? List.of(of(drop, drop.kind(), drop.names(), drop.ifExists()))
                : either(drop);
    }

    /** A function may have become a procedure, if it gives rows. */
    private List<Statement> either(Drop drop) {
        sayIf(drop);
        return List.of(of(drop, "FUNCTION", drop.names(), true), of(drop, "PROCEDURE", drop.names(), true));
    }

    /** Triggers are called as on the source, or by their kinds of change, too. */
    private List<Statement> triggers(Drop drop, CodeWay way) {
        if (way == CodeWay.TO_HANDLERS) {
            throw new Untranslatable("DROP TRIGGER");
        }
        boolean several = adapter.from.grammar().has(GrammarFeature.TSQL_ROUTINES);
        if (!several) {
            return List.of(of(drop, drop.kind(), drop.names(), drop.ifExists()));
        }
        sayIf(drop);
        List<QualifiedName> names = drop.names().stream()
                .flatMap(n -> Stream.concat(
                        Stream.of(n), Stream.of(Event.Kind.values()).map(k -> suffixed(n, k))))
                .toList();
        return List.of(of(drop, drop.kind(), names, true));
    }

    private static QualifiedName suffixed(QualifiedName name, Event.Kind kind) {
        String suffix = "_" + kind.name().toLowerCase(Locale.ROOT);
        return name.withLast(new Name(name.last().text() + suffix, name.last().exact()));
    }

    private void sayIf(Drop drop) {
        if (!drop.ifExists()) {
            adapter.note(FindingCode.SYNTAX_CHECK, drop.span(), "IF EXISTS, which the source does not say");
        }
    }

    private static DdlStatement of(Drop drop, String kind, List<QualifiedName> names, boolean ifExists) {
        return new Drop(kind, names, ifExists, false, Optional.empty(), drop.span());
    }
}
