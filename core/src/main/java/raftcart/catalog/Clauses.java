package raftcart.catalog;

import java.util.Locale;
import java.util.Set;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** What is known of the clauses of tables, columns and constraints that have no counterpart on a target. */
public final class Clauses {
    /** Begins a clause that tells how a column was numbered before its default did it. */
    public static final String NUMBERED = "numbered: ";

    /** Begins of clauses that say what rows there are, what holds for them, or who sees them. */
    private static final Pattern MEANING = Pattern.compile("(?i)(?:"
            + String.join(
                    "|",
                    // where rows come from
                    "engine\\W+(?:federated|connect|spider|blackhole|mrg_myisam|merge)",
                    "organization external",
                    "partition\\s+by",
                    "inherits\\b",
                    "numbers for ",
                    "the counter of .* (?:cycle|m..value)",
                    "on commit drop",
                    "on conflict (?:ignore|replace)",
                    // what a copied table takes over
                    "keys and defaults",
                    "(?:in|ex)cluding ",
                    // what holds for values
                    "default on null",
                    "on null\\b",
                    "set: ",
                    "constraint ",
                    "not (?:valid|enforced)",
                    "(?:enable )?novalidate",
                    "(?:foreign key|check) .* of its partition",
                    ".* without overlaps",
                    "(?:constraint |unique |index ).*\\bwhere\\b",
                    "with no check option",
                    "disable trigger",
                    "enable (?:always|replica) trigger",
                    // versions of rows
                    "with system versioning",
                    "with\\s*\\(\\s*system_versioning",
                    "period\\b",
                    "generated always as (?:row|transaction)\\b",
                    // who sees what
                    "(?:column .* )?invisible\\b",
                    "enable row level",
                    "(?:with )?(?:row access|masking) policy")
            + ")");

    private static final Pattern COLUMN = Pattern.compile("(?s)(?:\\w+: |(?i:add )(?=(?i:supplemental)))?(.*)");
    private static final Pattern FIRST_WORD = Pattern.compile("\\W*(\\w+).*", Pattern.DOTALL);

    /** The words that begin clauses on storage and the like in one dialect or another. */
    private static final Set<String> STORAGE = Set.of(
            ("activate after algorithm allow alter append ascii audit authorization auto_increment avg_row_length before"
                            + " binary bitmap blockcompression build cache cached capture casespecific ccsid change_tracking"
                            + " character charset check checksum cluster clustered collate column column_format comment compact compress"
                            + " compressed compression compute concurrently copy cs data datablocksize data_retention_time_in_days"
                            + " default deferred delay_key_write disable distkey distribute distribution diststyle drop enable encode"
                            + " encrypt encrypted encryption engine fallback family fillfactor filestream filestream_on flashback for format freespace global"
                            + " grants hidden hybrid if ignore ilm immediate in include index indexing inline initially initrans inmemory"
                            + " insert_method interleave invisible journal keep key key_block_size last_altered lob local locality locksize"
                            + " log logged logging long map max_rows max_data_extension_time_in_days maxtrans memory mergeblockratio"
                            + " min_rows monitoring multiset named nested no nocache nocheck nocompress nologging nomonitoring nonclustered"
                            + " noparallel norely norowdependencies not on online options or order organization organize owned"
                            + " owner pack_keys page page_checksum page_compressed page_compression_level parallel pctfree"
                            + " pctused persisted persistent physical position prefix primary queue read refresh rely replica replication restrict"
                            + " result_cache reverse row row_format rowdependencies rowguidcol row_movement secondary_engine secure security"
                            + " segment selectivity sequence set shared sort sortkey sparse split srid stage_copy_options stage_file_format"
                            + " statistics stats_auto_recalc stats_persistent stats_sample_pages storage store strict subpartition"
                            + " supplemental tablespace tablespaces tag temporary textimage_on title transactional transient type"
                            + " unicode unique unlogged using validate validation value values varray visible volatile"
                            + " wait with without xmltype zerofill convert move lock rebuild shrink restart discard import reset")
                    .split(" "));

    private Clauses() {}

    /** True for a clause that says more than where and how rows lie, or of which nothing is known. */
    public static boolean hasMeaning(String clause) {
        if (clause.startsWith(NUMBERED)) {
            return false;
        }
        Matcher column = COLUMN.matcher(clause);
        String own = column.matches() ? column.group(1) : clause;
        if (MEANING.matcher(clause).lookingAt() || MEANING.matcher(own).lookingAt()) {
            return true;
        }
        Matcher first = FIRST_WORD.matcher(own);
        return first.matches() && !STORAGE.contains(first.group(1).toLowerCase(Locale.ROOT));
    }
}
