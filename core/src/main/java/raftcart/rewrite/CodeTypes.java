package raftcart.rewrite;

import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;
import raftcart.rewrite.Knowledge.KnownColumn;
import raftcart.sql.Span;
import raftcart.sql.tree.Name;
import raftcart.sql.tree.QualifiedName;
import raftcart.sql.tree.TypeName;
import raftcart.type.LogicalType;

/** The types of variables, some of which are said to be those of a column, of a row, or of another variable. */
final class CodeTypes {
    private final CodeAdapter code;

    CodeTypes(CodeAdapter code) {
        this.code = code;
    }

    LogicalType type(TypeName type) {
        if (!type.name().endsWith(TypeName.OF_COLUMN)) {
            return code.adapter().finder.type(type);
        }
        String said = type.name().substring(0, type.name().length() - TypeName.OF_COLUMN.length());
        List<Name> parts = Stream.of(said.split("\\.")).map(Name::of).toList();
        return of(parts)
                .flatMap(KnownColumn::type)
                .orElseThrow(
                        () -> CodeAdapter.at(place(), "a variable of the type of " + said + ", which is not known"));
    }

    private Optional<KnownColumn> of(List<Name> parts) {
        Name last = parts.get(parts.size() - 1);
        if (parts.size() == 1) {
            return code.frame().variable(last);
        }
        QualifiedName table = new QualifiedName(parts.subList(0, parts.size() - 1));
        return code.adapter().knowledge.table(table).map(t -> t.columns()
                .get(last.text().toLowerCase(Locale.ROOT)));
    }

    private Span place() {
        return code.frame() == null ? Span.NONE : code.frame().whole.span();
    }
}
