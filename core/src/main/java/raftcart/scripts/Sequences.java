package raftcart.scripts;

import java.math.BigInteger;
import java.util.Optional;
import raftcart.catalog.ObjectName;
import raftcart.catalog.Sequence;
import raftcart.dialect.Language;
import raftcart.dialect.SequenceRange;
import raftcart.sql.tree.DdlStatement;
import raftcart.sql.tree.TableParts.IdentityOptions;

/** Sequences as scripts define and change them. */
final class Sequences {
    private static final BigInteger GREATEST = BigInteger.valueOf(Long.MAX_VALUE);

    private Sequences() {}

    /** The sequence after a statement; {@code before} is what was there, where it is an ALTER. */
    static Sequence of(
            ObjectName name, DdlStatement.CreateSequence given, Optional<Sequence> before, Language language) {
        IdentityOptions options = given.options();
        SequenceRange range = SequenceRange.of(language, given.type(), options);
        BigInteger increment =
                options.increment().or(() -> before.map(Sequence::increment)).orElse(range.increment());
        BigInteger minimum =
                options.min().or(() -> before.map(Sequence::minimum)).orElse(range.min());
        BigInteger maximum = options.max()
                .or(() -> before.map(Sequence::maximum))
                .orElse(range.max())
                .min(GREATEST);
        BigInteger start = options.start().or(() -> before.map(Sequence::start)).orElse(range.start());
        BigInteger next = given.restart()
                .map(BigInteger::valueOf)
                .or(() -> before.map(Sequence::next))
                .orElse(start);
        long cache = options.cache()
                .map(BigInteger::longValue)
                .or(() -> before.map(Sequence::cache))
                .orElse(1L);
        boolean cycle = options.cycle() || before.filter(Sequence::cycle).isPresent();
        return new Sequence(
                name, start, increment, minimum.max(BigInteger.valueOf(Long.MIN_VALUE)), maximum, next, cache, cycle);
    }
}
