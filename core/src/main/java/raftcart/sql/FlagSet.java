package raftcart.sql;

import java.util.AbstractSet;
import java.util.Arrays;
import java.util.Iterator;
import java.util.Set;

/** An immutable set of constants of one enumeration. What dialects can say is asked at every token, so this is one array. */
public final class FlagSet<E extends Enum<E>> extends AbstractSet<E> {
    private final E[] constants;
    private final boolean[] present;
    private final int size;

    private FlagSet(E[] constants, Set<E> members) {
        this.constants = constants;
        this.present = new boolean[constants.length];
        members.forEach(m -> present[m.ordinal()] = true);
        this.size = members.size();
    }

    /** The same members for good. */
    public static <E extends Enum<E>> FlagSet<E> copyOf(Class<E> type, Set<E> members) {
        return new FlagSet<>(type.getEnumConstants(), members);
    }

    @Override
    public boolean contains(Object constant) {
        return constant instanceof Enum<?> e
                && e.ordinal() < present.length
                && present[e.ordinal()]
                && constants[e.ordinal()] == constant;
    }

    @Override
    public Iterator<E> iterator() {
        return Arrays.stream(constants).filter(this::contains).iterator();
    }

    @Override
    public int size() {
        return size;
    }
}
