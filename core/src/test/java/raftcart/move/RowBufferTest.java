package raftcart.move;

import static org.assertj.core.api.Assertions.assertThat;

import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

class RowBufferTest {
    @Test
    void givesBackWhatWasPutIn() {
        SplittableRandom random = new SplittableRandom(1);
        RowBuffer buffer = new RowBuffer(3, 10_000);
        for (int round = 0; round < 3; round++) {
            buffer.clear();
            List<String> expected = new ArrayList<>();
            while (expected.size() < 3 * 2000) {
                int kind = random.nextInt(4);
                String text = kind == 0 ? null : "é".repeat(random.nextInt(40));
                expected.add(text);
                put(buffer, text, kind);
            }
            assertThat(buffer.rows()).isEqualTo(2000);
            for (int i = 0; i < expected.size(); i++) {
                int row = i / 3;
                int column = i % 3;
                String actual = buffer.isNull(row, column) ? null : buffer.text(row, column);
                assertThat(actual).isEqualTo(expected.get(i));
            }
        }
    }

    private static void put(RowBuffer buffer, String text, int kind) {
        if (text == null) {
            buffer.addNull();
            return;
        }
        byte[] bytes = text.getBytes(StandardCharsets.UTF_8);
        if (kind == 1) {
            buffer.add(bytes);
            return;
        }
        for (byte b : bytes) {
            buffer.append(b);
        }
        buffer.endField();
    }

    @Test
    void isFullByRowsOrByBytes() {
        RowBuffer buffer = new RowBuffer(1, 2);
        buffer.addNull();
        assertThat(buffer.isFull()).isFalse();
        buffer.addNull();
        assertThat(buffer.isFull()).isTrue();
        RowBuffer large = new RowBuffer(1, 1000);
        large.add(new byte[5 << 20]);
        assertThat(large.isFull()).isTrue();
    }
}
