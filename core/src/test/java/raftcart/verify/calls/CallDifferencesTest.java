package raftcart.verify.calls;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import raftcart.engine.ResultRows;
import raftcart.verify.calls.CallResult.Failure;

class CallDifferencesTest {
    private static CallResult rows(boolean numbers, String... values) {
        List<List<Optional<String>>> rows = Stream.of(values)
                .map(v -> List.of(Optional.of(v).filter(t -> !t.equals("NULL"))))
                .toList();
        return new CallResult(List.of(new ResultRows(List.of("a"), List.of(numbers), rows)), Optional.empty());
    }

    private static CallResult failure(String state, String message, boolean ofCode) {
        return new CallResult(List.of(), Optional.of(new Failure(state, message, ofCode)));
    }

    private static List<String> between(CallResult source, CallResult target) {
        return CallDifferences.between(source, target, false);
    }

    @Test
    void numbersAreTheSameByTheirValueAndTextsByTheirLetters() {
        assertThat(between(rows(true, "1.50"), rows(false, "1.5"))).isEmpty();
        assertThat(between(rows(false, "1.50"), rows(false, "1.5")))
                .containsExactly("'1.50' on the source, '1.5' on the target");
        assertThat(between(rows(true, "NaN"), rows(true, "1"))).hasSize(1);
        assertThat(between(rows(false, "NULL"), rows(false, "")))
                .containsExactly("NULL on the source, '' on the target");
    }

    @Test
    void anotherOrderIsADifferenceUnlessItIsSaidNotToMatter() {
        CallResult one = rows(false, "a", "b", "NULL");
        CallResult other = rows(false, "NULL", "b", "a");
        assertThat(between(one, other)).singleElement().asString().contains("order: any");
        assertThat(CallDifferences.between(one, other, true)).isEmpty();
        assertThat(CallDifferences.between(one, rows(false, "a", "a", "b"), true))
                .isNotEmpty();
    }

    @Test
    void ofManyDifferencesTheFirstAreShownAndTheOthersCounted() {
        CallResult one = rows(false, "1", "2", "3", "4", "5", "6", "7");
        CallResult other = rows(false, "a", "b", "c", "d", "e", "f", "g");
        assertThat(between(one, other)).hasSize(6).last().isEqualTo("and 2 more");
    }

    @Test
    void errorsAreTheSameByTheirTextOrTheClassOfTheEnginesOwn() {
        CallResult twice = failure("23000", "Duplicate entry", false);
        assertThat(between(twice, failure("23505", "duplicate key", false))).isEmpty();
        assertThat(between(twice, failure("22001", "too long", false))).hasSize(1);
        assertThat(between(failure("45000", "no star", false), failure("P0001", "no star", false)))
                .isEmpty();
        assertThat(between(failure("45000", "no star", false), failure("45000", "no lamp", false)))
                .hasSize(1);
        assertThat(between(failure("42000", "too many rows", false), failure("42883", "no such function", true)))
                .as("what is translated wrongly fails in the class of other errors")
                .hasSize(1);
        assertThat(between(twice, rows(false, "a"))).singleElement().asString().startsWith("fails on the source");
    }
}
