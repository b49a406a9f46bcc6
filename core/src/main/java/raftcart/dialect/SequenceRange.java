package raftcart.dialect;

import java.math.BigInteger;
import java.util.Optional;
import raftcart.sql.tree.TableParts.IdentityOptions;
import raftcart.sql.tree.TypeName;

/**
 * The numbers that a sequence gives, with what its engine takes where nothing is said. Most engines begin with 1 or with the
 * least number allowed ("CREATE SEQUENCE" in their manuals); SQL Server and Derby count through all of the type's range, and
 * HSQLDB begins with 0.
 *
 * @param type what the numbers are, where the script says it
 */
public record SequenceRange(
        BigInteger start,
        BigInteger increment,
        BigInteger min,
        BigInteger max,
        boolean cycle,
        Optional<TypeName> type) {
    private static final BigInteger LEAST = BigInteger.valueOf(Long.MIN_VALUE);
    private static final BigInteger GREATEST = BigInteger.valueOf(Long.MAX_VALUE);
    private static final BigInteger BELOW = BigInteger.ONE.negate();

    /** The range of a sequence that is made with these options. Bounds beyond 64 bits are cut to them. */
    public static SequenceRange of(Language language, Optional<TypeName> type, IdentityOptions options) {
        int bits = bits(language, type);
        BigInteger low = type.filter(t -> t.name().equals("tinyint")).isPresent()
                ? BigInteger.ZERO
                : BigInteger.TWO.pow(bits - 1).negate();
        BigInteger high = type.filter(t -> t.name().equals("tinyint")).isPresent()
                ? BigInteger.valueOf(255)
                : BigInteger.TWO.pow(bits - 1).subtract(BigInteger.ONE);
        BigInteger increment = options.increment().orElse(BigInteger.ONE);
        boolean rises = increment.signum() >= 0;
        boolean all = language.has(SqlFeature.SEQUENCES_TAKE_ALL) || language.has(SqlFeature.SEQUENCES_FROM_ZERO);
        BigInteger usualMin =
                all || !rises ? low : options.start().orElse(BigInteger.ONE).min(BigInteger.ONE);
        BigInteger usualMax =
                all || rises ? high : options.start().orElse(BELOW).max(BELOW);
        BigInteger min = options.min().orElse(usualMin).max(LEAST);
        BigInteger max = options.max().orElse(usualMax).min(GREATEST);
        BigInteger first = language.has(SqlFeature.SEQUENCES_FROM_ZERO) ? BigInteger.ZERO : rises ? min : max;
        return new SequenceRange(options.start().orElse(first), increment, min, max, options.cycle(), type);
    }

    private static int bits(Language language, Optional<TypeName> type) {
        String name =
                type.map(TypeName::name).orElse(language.has(SqlFeature.SEQUENCES_ARE_INTEGER) ? "integer" : "bigint");
        return switch (name) {
            case "smallint", "int2" -> 16;
            case "integer", "int", "int4" -> 32;
            default -> 64;
        };
    }

    /**
     * The options that give the same numbers on another engine, where the sequence has 64 bits.
     *
     * @param given the options as the source has them
     */
    public IdentityOptions on(Language target, IdentityOptions given) {
        IdentityOptions portable = given.portable();
        SequenceRange there = of(target, Optional.of(TypeName.of("bigint")), portable);
        boolean bounded = cycle || type.isPresent();
        Optional<BigInteger> least =
                min.equals(there.min) || !bounded || isWhole(min, LEAST) ? portable.min() : Optional.of(min);
        Optional<BigInteger> most =
                max.equals(there.max) || !bounded || isWhole(max, GREATEST) ? portable.max() : Optional.of(max);
        boolean takesAll = target.has(SqlFeature.SEQUENCES_TAKE_ALL) || target.has(SqlFeature.SEQUENCES_FROM_ZERO);
        boolean below = !takesAll && increment.signum() > 0 && start.signum() <= 0;
        boolean above = !takesAll && increment.signum() < 0 && start.signum() >= 0;
        IdentityOptions within = new IdentityOptions(
                portable.always(),
                portable.start(),
                portable.increment(),
                below && least.isEmpty() ? Optional.of(start) : least,
                above && most.isEmpty() ? Optional.of(start) : most,
                portable.cache(),
                portable.cycle());
        return of(target, Optional.of(TypeName.of("bigint")), within).start.equals(start) ? within : within.from(start);
    }

    /** True for a bound that is that of 64 bits, which MariaDB would not take as it stands. */
    private boolean isWhole(BigInteger bound, BigInteger end) {
        return bound.equals(end) && !cycle;
    }
}
