package raftcart.rewrite;

import raftcart.dialect.Language;
import raftcart.dialect.SqlFeature;
import raftcart.sql.parse.GrammarFeature;

/** How routines and triggers go from one engine to another. */
enum CodeWay {
    /** Not at all. */
    NONE,
    /** Handlers become what rescues a block, whose changes it undoes; what rescues it already stays so. */
    TO_RESCUES,
    /** What rescues a block becomes handlers. */
    TO_HANDLERS,
    /** Both have handlers. */
    AS_IT_IS;

    static CodeWay of(Language from, Language to) {
        if (to.has(SqlFeature.BLOCKS_RESCUE)) {
            boolean read =
                    from.has(SqlFeature.HANDLERS_KEEP_CHANGES) || from.grammar().has(GrammarFeature.PSQL_ROUTINES);
            return read ? TO_RESCUES : NONE;
        }
        if (!to.has(SqlFeature.BLOCKS_HANDLE)) {
            return NONE;
        }
        if (from.has(SqlFeature.BLOCKS_RESCUE)) {
            return TO_HANDLERS;
        }
        boolean psm = from.has(SqlFeature.HANDLERS_KEEP_CHANGES)
                && (from.grammar().has(GrammarFeature.PSM_ROUTINES)
                        || from.grammar().has(GrammarFeature.TRIGGERS_ARE_CHANGES));
        return psm ? AS_IT_IS : NONE;
    }
}
