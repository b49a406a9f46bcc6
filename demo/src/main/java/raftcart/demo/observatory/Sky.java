package raftcart.demo.observatory;

import java.time.LocalDate;
import java.util.List;
import java.util.SplittableRandom;
import java.util.function.LongFunction;
import java.util.stream.LongStream;
import java.util.stream.Stream;

/** Rows of the tables around telescopes, nights, observations and what came of them. */
final class Sky {
    private static final String[] FILTERS = {"U", "B", "V", "R", "I", "Ha", "OIII", "Lum"};
    private static final int TELESCOPES = 6;
    private static final int INSTRUMENTS = 14;
    private static final int NIGHTS = 1500;
    private static final int SHOTS = 15;
    private static final LocalDate FIRST_NIGHT = LocalDate.of(2019, 1, 1);
    private static final String LARGEST_UNSIGNED = "18446744073709551615";

    private final long seed;
    private final long exposures;
    private final long observations;
    private final long targets;
    private final long readings;

    Sky(long seed, double scale) {
        this.seed = seed;
        this.exposures = Math.max(SHOTS, Math.round(150_000 * scale));
        this.observations = (exposures + SHOTS - 1) / SHOTS;
        this.targets = Math.max(20, Math.min(200_000, Math.round(2000 * scale)));
        this.readings = Math.max(50, Math.round(5000 * scale));
    }

    List<TableRows> tables() {
        return Stream.of(equipment(), work(), records()).flatMap(List::stream).toList();
    }

    private List<TableRows> equipment() {
        return List.of(
                TableRows.of(
                                "telescopes",
                                "id,code,name,aperture_mm,focal_ratio,built,mount,features,first_light,powered",
                                () -> rows(TELESCOPES, "telescopes", Sky::telescope))
                        .withBits("powered"),
                TableRows.of(
                        "filters",
                        "code,name,wavelength_nm,bandwidth_nm",
                        () -> rows(FILTERS.length, "filters", (i, r) -> new String[] {
                            FILTERS[(int) i - 1],
                            "Filter " + FILTERS[(int) i - 1],
                            "" + (300.1 + i * 71.3),
                            "" + i * 11.7
                        })),
                TableRows.of(
                                "instruments",
                                "id,telescope_id,name,kind,pixels,options,gain,setup",
                                () -> rows(INSTRUMENTS, "instruments", Sky::instrument))
                        .withBits("options"),
                TableRows.of(
                        "filter_usage",
                        "instrument_id,filter_code,since,slot",
                        () -> rows(84, "usage", (i, r) -> new String[] {
                            "" + (1 + i % INSTRUMENTS),
                            FILTERS[(int) (i % 8)],
                            "2020-01-" + (10 + i / 8),
                            "" + r.nextInt(256)
                        })));
    }

    private List<TableRows> work() {
        return List.of(
                TableRows.of(
                        "sky_targets",
                        "id,designation,kind,right_ascension,declination,magnitude,parallax,remarks",
                        () -> rows(targets, "targets", Sky::target)),
                TableRows.of(
                        "nights",
                        "night,moon_phase,condition,dusk,dawn,dark_time",
                        () -> rows(NIGHTS, "nights", Sky::night)),
                TableRows.of(
                        "observations",
                        "id,proposal_id,target_id,instrument_id,night,observer_id,started,ended,seeing,tracking_lost",
                        () -> rows(observations, "observations", this::observation)),
                TableRows.of(
                                "exposures",
                                "id,observation_id,shot,filter_code,taken_at,seconds,airmass,background,frame_hash,quality,flags,calibrated,file_name,remark",
                                () -> rows(exposures, "exposures", Sky::exposure))
                        .withBits("flags"),
                TableRows.of(
                                "photographic_plates",
                                "id,plate_number,emulsion,taken,scanned_at,scan,thumbnail,caption",
                                () -> rows(60, "plates", Sky::plate))
                        .withBytes("id", "scan", "thumbnail"));
    }

    private List<TableRows> records() {
        return List.of(
                TableRows.of(
                                "calibrations",
                                "id,instrument_id,kind,valid_from,valid_to,coefficients,master",
                                () -> rows(200, "calibrations", Sky::calibration))
                        .withBytes("master"),
                TableRows.of(
                                "weather_readings",
                                "station,read_at,temperature,humidity,wind,raw",
                                () -> rows(readings, "weather", Sky::reading))
                        .withBytes("raw"),
                TableRows.of(
                        "spectrograph_grating_alignment_history_of_the_northern_side_dome",
                        "grating_alignment_measurement_identifier_within_the_northern_dom,instrument_id,measured_at,offset_arcsec",
                        () -> rows(100, "alignment", Sky::alignment)));
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

    private static String[] telescope(long i, SplittableRandom random) {
        String features = i == 1 ? "" : i == 2 ? "tracking,autoguider,dome,robotic" : "tracking,dome";
        return new String[] {
            "" + i,
            "KR" + i,
            "Kestrel " + i,
            "" + (i == 6 ? 16777215 : 400 * i),
            "" + (3.3f + i),
            i == 5 ? "0000" : "" + (1901 + i * 20),
            Words.pick(random, "equatorial", "alt-azimuth", "transit"),
            features,
            "19" + (20 + i * 10) + "-05-04",
            "" + i % 2
        };
    }

    private static String[] instrument(long i, SplittableRandom random) {
        return new String[] {
            "" + i,
            "" + (1 + i % TELESCOPES),
            "Instrument " + i,
            Words.pick(random, "camera", "spectrograph", "photometer"),
            i == 1 ? LARGEST_UNSIGNED : i == 2 ? null : "" + (i << 40),
            "" + random.nextInt(4096),
            i == 3 ? "1.7976931348623157e308" : i == 4 ? "5e-324" : i == 5 ? "-0.0" : "" + random.nextDouble(),
            "{\"slots\": [1,2, 3], \"cooled\":" + (i % 2 == 0) + "}"
        };
    }

    private static String[] target(long i, SplittableRandom random) {
        String parallax = i == 1
                ? "9999999999999999999999999999.9999999999"
                : i == 2
                        ? "-9999999999999999999999999999.9999999999"
                        : i % 7 == 0 ? null : Words.decimal(random, 3, 10);
        return new String[] {
            "" + i,
            (i % 2 == 0 ? "Kr " : "KR ") + (1000 + i),
            Words.pick(random, "star", "galaxy", "nebula", "comet", "minor planet"),
            "" + random.nextDouble() * 360,
            "" + (random.nextDouble() * 180 - 90),
            i % 9 == 0 ? null : Words.decimal(random, 20, 3),
            parallax,
            Words.remark(random, i)
        };
    }

    private static String[] night(long i, SplittableRandom random) {
        String dark = i % 10 == 0
                ? null
                : i == 1
                        ? "-838:59:59.000"
                        : i == 2
                                ? "838:59:58.999"
                                : String.format("%02d:30:15.%03d", random.nextInt(700), random.nextInt(1000));
        return new String[] {
            FIRST_NIGHT.plusDays(i - 1).toString(),
            "" + random.nextFloat(),
            Words.pick(random, "photometric", "clear", "cloudy", "closed"),
            String.format("%02d:%02d:00", 17 + random.nextInt(4), random.nextInt(60)),
            "0" + (4 + random.nextInt(4)) + ":00:00",
            dark
        };
    }

    private String[] observation(long i, SplittableRandom random) {
        LocalDate night = FIRST_NIGHT.plusDays(random.nextInt(NIGHTS));
        String started = String.format(
                "%s 2%d:%02d:%02d.%06d",
                night, random.nextInt(4), random.nextInt(60), random.nextInt(60), random.nextInt(1_000_000));
        return new String[] {
            "" + i,
            "" + (1 + random.nextInt(People.PROPOSALS)),
            "" + (1 + random.nextLong(targets)),
            "" + (1 + random.nextInt(INSTRUMENTS)),
            night.toString(),
            i % 8 == 0 ? null : "" + (1 + random.nextInt(People.ASTRONOMERS)),
            started,
            i % 13 == 0 ? null : night.plusDays(1) + " 05:00:00.000000",
            i % 5 == 0 ? null : Words.decimal(random, 6, 2),
            i % 17 == 0 ? "26:00:00.000001" : null
        };
    }

    private static String[] exposure(long i, SplittableRandom random) {
        long observation = (i - 1) / SHOTS + 1;
        long micros = i * 7_654_321L % 86_400_000_000L;
        String taken = FIRST_NIGHT.plusDays(observation % NIGHTS) + " " + Words.padded(micros / 3_600_000_000L, 2) + ":"
                + Words.padded(micros / 60_000_000 % 60, 2) + ":" + Words.padded(micros / 1_000_000 % 60, 2) + "."
                + Words.padded(micros % 1_000_000, 6);
        return new String[] {
            "" + i,
            "" + observation,
            "" + ((i - 1) % SHOTS + 1),
            i % 12 == 0 ? null : FILTERS[random.nextInt(FILTERS.length)],
            taken,
            Words.decimal(random, 3600, 3),
            i % 10 == 0 ? null : "" + (1 + random.nextFloat()),
            "" + (random.nextDouble() - 0.5) * 1e4,
            Long.toUnsignedString(random.nextLong()),
            Words.pick(random, "good", "good", "good", "fair", "poor", "unusable"),
            "" + random.nextInt(256),
            "" + random.nextInt(2),
            "kr/" + observation + "/frame-" + i + ".raw",
            Words.remark(random, i)
        };
    }

    private static String[] plate(long i, SplittableRandom random) {
        String taken = i == 1
                ? "0001-01-01"
                : i == 2
                        ? "9999-12-31"
                        : i == 3 ? "0000-00-00" : i == 4 ? "1923-00-00" : "19" + (10 + i % 60) + "-06-15";
        return new String[] {
            Words.hex(random, 16),
            "" + (1000 + i),
            i % 4 == 0 ? "" : "blue " + i,
            taken,
            i % 3 == 0 ? null : "2021-06-0" + (1 + i % 9) + " 12:00:00",
            i % 5 == 0 ? "" : Words.hex(random, random.nextInt(40_000)),
            i % 6 == 0 ? null : Words.hex(random, 400),
            Words.remark(random, i)
        };
    }

    private static String[] calibration(long i, SplittableRandom random) {
        return new String[] {
            "" + i,
            "" + (1 + random.nextInt(INSTRUMENTS)),
            Words.pick(random, "bias", "dark", "Flat", "wavelength"),
            "2022-01-01 00:00:00",
            i % 4 == 0 ? "9999-12-31 23:59:59" : "2023-0" + (1 + i % 9) + "-01 00:00:00",
            "[" + random.nextDouble() + ", " + i + "]",
            i % 3 == 0 ? null : Words.hex(random, 1000)
        };
    }

    private static String[] reading(long i, SplittableRandom random) {
        long moment = i - (i % 50 == 0 ? 1 : 0); // now and then a reading comes twice
        return new String[] {
            "ridge-" + moment % 3,
            String.format("2024-0%d-%02d %02d:%02d:00.500", 1 + moment % 9, 1 + moment % 28, moment % 24, moment % 60),
            "" + (moment % 60 - 25) + ".5",
            "" + moment % 101,
            "" + moment % 30 + ".25",
            i % 4 == 0 ? null : Words.hex(new SplittableRandom(moment), 8)
        };
    }

    private static String[] alignment(long i, SplittableRandom random) {
        return new String[] {
            "" + i * 3,
            "" + (1 + random.nextInt(INSTRUMENTS)),
            "2020-02-29 0" + i % 10 + ":00:00",
            "-" + Words.decimal(random, 5, 10)
        };
    }
}
