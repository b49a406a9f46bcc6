package raftcart.demo.observatory;

import java.util.List;
import java.util.SplittableRandom;
import java.util.function.LongFunction;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** Rows of the tables around astronomers, proposals and the workshop. */
final class People {
    static final int ASTRONOMERS = 120;
    static final int PANELS = 8;
    static final int PROPOSALS = 300;
    private static final int ORDERS = 150;

    private final long seed;
    private final long logEntries;

    People(long seed, double scale) {
        this.seed = seed;
        this.logEntries = Math.max(50, Math.round(3000 * scale));
    }

    List<TableRows> tables() {
        return List.of(
                TableRows.of(
                                "astronomers",
                                "id,login,full_name,mentor_id,badge,is_staff,joined,hourly_rate,motto,preferences",
                                () -> rows(ASTRONOMERS, "astronomers", this::astronomer))
                        .withBytes("badge"),
                TableRows.of(
                        "review_panels",
                        "id,name,chair_id,model_proposal_id",
                        () -> rows(PANELS, "panels", (i, r) -> new String[] {
                            "" + i, "Panel " + i, "" + (1 + r.nextInt(ASTRONOMERS)), i % 3 == 0 ? null : "" + i * 7
                        })),
                TableRows.of(
                        "proposals",
                        "id,title,panel_id,leader_id,state,rank,hours,abstract,submitted_at,changed_at",
                        () -> rows(PROPOSALS, "proposals", People::proposal)),
                TableRows.of(
                        "log_entries",
                        "id,written_at,astronomer_id,level,text",
                        () -> rows(logEntries, "log", People::logEntry)),
                TableRows.of(
                        "Order",
                        "Key,Select,From,Desc,placedOn,unit price,user",
                        () -> rows(ORDERS, "orders", People::order)));
    }

    @FunctionalInterface
    private interface RowMaker {
        String[] make(long number, SplittableRandom random);
    }

    private Stream<String[]> rows(long count, String name, RowMaker maker) {
        SplittableRandom random = new SplittableRandom(seed ^ name.hashCode());
        LongFunction<String[]> make = i -> maker.make(i, random);
        return LongStream.rangeClosed(1, count).mapToObj(make);
    }

    private String[] astronomer(long i, SplittableRandom random) {
        String joined =
                i % 37 == 0 ? "0000-00-00" : i % 11 == 0 ? null : "20" + (10 + i % 15) + "-0" + (1 + i % 9) + "-15";
        String motto = Words.remark(random, i);
        return new String[] {
            "" + i,
            (i % 2 == 0 ? "Obs" : "obs") + i,
            Words.name(random),
            i == 1 ? null : "" + (1 + random.nextLong(i - 1)),
            Words.hex(random, 16),
            i % 4 == 0 ? "0" : "1",
            joined,
            Words.decimal(random, 400, 2),
            motto,
            i % 5 == 0 ? null : "{\"lamp\": \"red\",  \"alerts\":[" + i + ", 1.50],\"note\":\"\\u2728 é\"}"
        };
    }

    private static String[] proposal(long i, SplittableRandom random) {
        String state = Words.pick(random, "draft", "submitted", "accepted", "rejected");
        return new String[] {
            "" + i,
            "Survey of the " + Words.pick(random, "northern", "southern", "hidden", "faint") + " field " + i,
            "" + (1 + random.nextInt(PANELS)),
            "" + (1 + random.nextInt(ASTRONOMERS)),
            state,
            state.equals("accepted") ? "" + i : null,
            (1 + random.nextInt(90)) + ".5",
            Words.remark(random, i),
            state.equals("draft") ? null : "2024-03-31 0" + i % 10 + ":30:00",
            "2024-10-27 0" + i % 4 + ":59:59"
        };
    }

    private static String[] logEntry(long i, SplittableRandom random) {
        String text = Words.remark(random, i);
        return new String[] {
            "" + i,
            String.format(
                    "20%02d-%02d-%02d %02d:00:00.%06d",
                    5 + i % 30, 1 + i % 12, 1 + i % 28, i % 24, random.nextInt(1_000_000)),
            i % 6 == 0 ? null : "" + (1 + random.nextInt(ASTRONOMERS)),
            "" + (random.nextInt(256) - 128),
            text == null ? "" : text
        };
    }

    private static String[] order(long i, SplittableRandom random) {
        return new String[] {
            "" + (i * 10),
            Words.pick(random, "screws", "mirror cloth", "liquid nitrogen", "coffee"),
            Words.pick(random, "stores", "town", ""),
            i % 3 == 0 ? null : i % 3 == 1 ? "" : "urgent",
            "2023-0" + (1 + i % 9) + "-01",
            Words.decimal(random, 9999, 4),
            i % 2 == 0 ? null : "" + (1 + random.nextInt(ASTRONOMERS))
        };
    }
}
