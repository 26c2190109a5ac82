package jollytide.core.logfile;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import java.io.ByteArrayInputStream;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.ZoneId;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import jollytide.core.evidence.Method;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.evidence.RawUnit;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** Files as loggers write them, written by hand. */
class LogFileTest {
    private static final Path LOGGERS = Path.of("src/test/resources/loggers");
    private static final ZoneId AMSTERDAM = ZoneId.of("Europe/Amsterdam");
    private static final Instant NOW = Instant.parse("2026-11-24T12:00:00Z");
    private static final Meaning PH = new Meaning(RawUnit.PH_NBS, Place.TANK, Method.PROBE);

    /** What came out of a file. */
    private static final class Heard implements LogReader.Sink {
        private final List<Meaning> meanings = new ArrayList<>();
        private final List<Instant> times = new ArrayList<>();
        private final List<Double> values = new ArrayList<>();
        private final List<String> bad = new ArrayList<>();

        @Override
        public void reading(Meaning meaning, Instant at, double value, long line) {
            meanings.add(meaning);
            times.add(at);
            values.add(value);
        }

        @Override
        public void bad(long line, String text, String reason) {
            bad.add(line + ": " + reason);
        }

        @Override
        public boolean goOn(long lines) {
            return true;
        }

        private List<Instant> times(RawUnit unit) {
            List<Instant> found = new ArrayList<>();
            for (int i = 0; i < times.size(); i++) {
                if (meanings.get(i).unit() == unit) {
                    found.add(times.get(i));
                }
            }
            return found;
        }
    }

    private static Proposal propose(byte[] file) {
        try {
            return LayoutFinder.propose(new ByteArrayInputStream(file), TextForm.of(file), List.of(), false);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
    }

    private static Proposal propose(String text) {
        return propose(text.getBytes(StandardCharsets.UTF_8));
    }

    private static byte[] logger(String name) throws IOException {
        return Files.readAllBytes(LOGGERS.resolve(name));
    }

    private static Heard read(byte[] file, Layout layout, Map<String, Meaning> meanings) {
        Heard heard = new Heard();
        try {
            LogReader.read(
                    new ByteArrayInputStream(file),
                    TextForm.of(file),
                    new LogReader.Plan(layout, AMSTERDAM, meanings),
                    NOW,
                    heard);
        } catch (IOException e) {
            throw new IllegalStateException(e);
        }
        return heard;
    }

    /** Reads a file with every channel in the likeliest unit and place. */
    private static Heard readAsGuessed(byte[] file) {
        Proposal proposal = propose(file);
        Map<String, Meaning> meanings = new LinkedHashMap<>();
        for (Channel channel : proposal.channels()) {
            if (channel.guess().quantity() != null) {
                meanings.put(
                        channel.key(),
                        new Meaning(
                                channel.guess().units().get(0),
                                channel.guess().places().get(0),
                                channel.guess().method()));
            }
        }
        return read(file, proposal.layout(), meanings);
    }

    private static Heard ph(String text) {
        byte[] file = text.getBytes(StandardCharsets.UTF_8);
        return read(file, propose(file).layout(), Map.of("1", PH));
    }

    @Test
    void columnsInAnyOrderWithOffsetsAndUnitsLeaveNoQuestion() throws IOException {
        Proposal proposal = propose(logger("sump-logger.csv"));
        assertThat(proposal.zoneStated()).isTrue();
        assertThat(proposal.timeForms()).containsExactly(TimeForm.YEAR_FIRST);
        assertThat(proposal.channels())
                .extracting(c -> c.guess().certain().map(Meaning::name).orElse("?"))
                .containsExactly("TANK/TEMPERATURE/METER/CELSIUS", "TANK/PH/PROBE/PH_NBS", "ROOM/CO2/METER/CO2_PPM");
        Heard heard = readAsGuessed(logger("sump-logger.csv"));
        assertThat(heard.bad).isEmpty();
        assertThat(heard.times(RawUnit.PH_NBS)).hasSize(48).isSorted().doesNotHaveDuplicates();
        assertThat(heard.times.get(0)).isEqualTo("2026-10-24T20:00:00Z");
    }

    @Test
    void aLegacyFileWithPreambleAndCommasAsksForZoneAndScaleOnly() throws IOException {
        Proposal proposal = propose(logger("old-desktop.csv"));
        assertThat(proposal.layout().delimiter()).isEqualTo(';');
        assertThat(proposal.layout().skipLines()).isEqualTo(4);
        assertThat(proposal.layout().timeOfDayColumn()).isEqualTo(1);
        assertThat(proposal.timeForms()).containsExactly(TimeForm.DAY_FIRST);
        assertThat(proposal.zoneStated()).isFalse();
        assertThat(proposal.channels()).extracting(Channel::label).containsExactly("Temp. °C", "pH");
        assertThat(proposal.channels().get(0).guess().units()).containsExactly(RawUnit.CELSIUS);
        assertThat(proposal.channels().get(1).guess().units()).containsExactly(RawUnit.PH_NBS, RawUnit.PH_TOTAL);
        Heard heard = readAsGuessed(logger("old-desktop.csv"));
        assertThat(heard.bad).isEmpty();
        // The repeated hour is told by order: sixty readings five minutes apart, none twice.
        List<Instant> times = heard.times(RawUnit.PH_NBS);
        assertThat(times).hasSize(60).isSorted().doesNotHaveDuplicates();
        assertThat(times.get(59)).isEqualTo("2026-10-25T02:55:00Z");
    }

    @Test
    void oneReadingALineWithNamesAndUnits() throws IOException {
        Proposal proposal = propose(logger("one-a-line.txt"));
        assertThat(proposal.timeForms()).contains(TimeForm.MONTH_FIRST);
        assertThat(proposal.channels())
                .extracting(Channel::key)
                .containsExactly("Tank temp F", "Tank pH pH", "CO2 living area ppm");
        assertThat(proposal.channels().get(0).guess().units()).containsExactly(RawUnit.FAHRENHEIT);
        assertThat(proposal.channels().get(2).guess().quantity()).isEqualTo(Quantity.CO2);
        assertThat(proposal.channels().get(2).guess().places()).hasSize(3);
        Heard heard = readAsGuessed(logger("one-a-line.txt"));
        assertThat(heard.bad).isEmpty();
        assertThat(heard.values).hasSize(85);
    }

    @Test
    void dayAndMonthAreAskedForOnlyWhenTheFileCannotTell() {
        assertThat(propose("time,pH\n03/04/2026 10:00,8.1\n03/04/2026 11:00,8.1\n")
                        .timeForms())
                .containsExactly(TimeForm.DAY_FIRST, TimeForm.MONTH_FIRST);
        assertThat(propose("time,pH\n13/04/2026 10:00,8.1\n").timeForms()).containsExactly(TimeForm.DAY_FIRST);
        assertThat(propose("time,pH\n04/13/2026 10:00,8.1\n").timeForms()).containsExactly(TimeForm.MONTH_FIRST);
        // Twelve days in a row: read the wrong way round the log would leap from month to month.
        StringBuilder days = new StringBuilder("time,pH\n");
        for (int day = 1; day <= 12; day++) {
            days.append("%02d/04/2026 10:00,8.1\n".formatted(day));
        }
        assertThat(propose(days.toString()).timeForms()).containsExactly(TimeForm.DAY_FIRST);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "2026-11-12T09:55:00Z | 2026-11-12T09:55:00Z",
                "2026-11-12 09:55:30.5+01:00 | 2026-11-12T08:55:30.500Z",
                "2026/11/12 9:55 | 2026-11-12T08:55:00Z",
                "12.11.26 09:55 | 2026-11-12T08:55:00Z",
                "13/11/2026 9:55 pm | 2026-11-13T20:55:00Z",
                "11/13/2026 12:05:00 AM | 2026-11-12T23:05:00Z",
                "12 Nov 2026 09:55 | 2026-11-12T08:55:00Z",
                "'Thu, Nov 12, 2026 09:55:00 GMT' | 2026-11-12T09:55:00Z",
                "1794477300 | 2026-11-12T09:55:00Z",
                "1794477300000 | 2026-11-12T09:55:00Z",
                "46338.5 | 2026-11-12T11:00:00Z",
            })
    void timesInManyForms(String time, Instant expected) {
        Heard heard = ph("time;pH\n" + time + ";8,1\n");
        assertThat(heard.bad).isEmpty();
        assertThat(heard.times).containsExactly(expected);
    }

    /** As kits' notes name them; nitrate is another thing. */
    @Test
    void ammoniaAndNitriteAreKnownByTheirNames() {
        Proposal proposal = propose("time,NH4 mg/L,NO2-N mg/L,nitrate mg/L\n2026-11-12 09:00,0.1,0.02,5\n");
        assertThat(proposal.channels())
                .extracting(c -> c.guess().quantity())
                .containsExactly(Quantity.AMMONIA, Quantity.NITRITE, null);
        assertThat(proposal.channels().get(0).guess().units()).containsExactly(RawUnit.AMMONIUM_MG_PER_L);
        assertThat(proposal.channels().get(1).guess().units()).containsExactly(RawUnit.NITRITE_N_MG_PER_L);
    }

    @Test
    void headerlessFilesAreReadByTheirNumbers() {
        Proposal proposal = propose("2026-11-12 09:00,8.05,25.4,812,x\n2026-11-12 09:05,8.06,25.4,815,x\n");
        assertThat(proposal.layout().skipLines()).isZero();
        assertThat(proposal.channels())
                .extracting(c -> c.guess().quantity())
                .containsExactly(Quantity.PH, Quantity.TEMPERATURE, Quantity.CO2);
    }

    @Test
    void theRepeatedHourIsRefusedWhenTheOrderDoesNotTell() {
        Heard heard = ph("time,pH\n2026-10-25 01:50,8.1\n2026-10-25 02:30,8.1\n2026-10-25 03:10,8.1\n");
        assertThat(heard.times).hasSize(2);
        assertThat(heard.bad).singleElement().asString().startsWith("3: ").contains("repeated this hour");
    }

    @Test
    void theRepeatedHourNewestFirstAndByTheHour() {
        Heard newestFirst =
                ph("time,pH\n2026-10-25 03:00,8\n2026-10-25 02:30,8.1\n2026-10-25 02:00,8.2\n2026-10-25 02:30,8.3\n"
                        + "2026-10-25 02:00,8.4\n2026-10-25 01:30,8.5\n");
        assertThat(newestFirst.bad).isEmpty();
        assertThat(newestFirst.times)
                .containsExactly(
                        Instant.parse("2026-10-25T02:00:00Z"),
                        Instant.parse("2026-10-25T01:30:00Z"),
                        Instant.parse("2026-10-25T01:00:00Z"),
                        Instant.parse("2026-10-25T00:30:00Z"),
                        Instant.parse("2026-10-25T00:00:00Z"),
                        Instant.parse("2026-10-24T23:30:00Z"));
        Heard hourly = ph("time,pH\n2026-10-25 01:15,8\n2026-10-25 02:15,8\n2026-10-25 02:15,8\n2026-10-25 03:15,8\n");
        assertThat(hourly.bad).isEmpty();
        assertThat(hourly.times).doesNotHaveDuplicates().isSorted();
    }

    @Test
    void theSkippedHourTheFutureAnd1970AreNamed() {
        Heard heard = ph("time,pH\n2026-03-29 02:30,8.1\n2027-01-01 00:00,8.1\n2026-11-12 09:55,8.1\n");
        assertThat(heard.times).hasSize(1);
        assertThat(heard.bad.get(0)).startsWith("2: ").contains("skipped this time");
        assertThat(heard.bad.get(1)).startsWith("3: ").contains("future");
        Heard unset = ph("time,pH\n1794477300,8.1\n120,8.1\n");
        assertThat(unset.bad).singleElement().asString().contains("before 1990");
    }

    @Test
    void badCellsAreListedAndTheRestOfTheLineIsKept() {
        byte[] file = """
                time,pH,Temp °C
                2026-11-12 09:00,8.1,25.1
                2026-11-12 09:05,=HYPERLINK("x"),25.2
                2026-11-12 09:10,81,25.3
                2026-11-12 09:15
                not a time,8.1,25.4
                2026-11-12 09:20,8.1,---
                2026-11-12 09:25,"8.1,25.5
                2026-11-12 09:30,8.2,25.6
                """.getBytes(StandardCharsets.UTF_8);
        Heard heard = readAsGuessed(file);
        assertThat(heard.values).containsExactly(8.1, 25.1, 25.2, 25.3, 8.1, 8.2, 25.6);
        assertThat(heard.bad)
                .hasSize(5)
                .anySatisfy(b -> assertThat(b).startsWith("3: ").contains("not a number"))
                .anySatisfy(b -> assertThat(b).startsWith("4: ").contains("81.0 cannot be pH"))
                .anySatisfy(b -> assertThat(b).startsWith("5: ").contains("cut short"))
                .anySatisfy(b -> assertThat(b).startsWith("6: ").contains("no time in the form"))
                .anySatisfy(b -> assertThat(b).startsWith("8: ").contains("quote"));
    }

    @Test
    void quotedCellsMayHoldDelimitersQuotesAndBreaks() {
        Heard heard = ph("""
                time,pH,note
                2026-11-12 09:00,"8,1","fed ""twice"", then
                rested"
                2026-11-12 09:05,8.2,
                """);
        assertThat(heard.bad).isEmpty();
        assertThat(heard.values).containsExactly(8.1, 8.2);
    }

    @Test
    void ourOwnNamesLeaveNoQuestion() {
        Proposal proposal = propose("time,series,value\n2026-11-12T09:55:00Z," + PH.name() + ",8.1\n");
        assertThat(proposal.channels())
                .singleElement()
                .satisfies(c -> assertThat(c.guess().certain()).contains(PH));
        assertThat(Meaning.ofName("TANK/PH/PROBE/CO2_PPM")).isEmpty();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {"just words\nand more words\n", "time,pH\n", "a,b,c\n1,2,3\n", "\n\n\n", "2026-11-12 09:55\n"})
    void filesWithoutTimesOrNumbersAreRefusedInWords(String text) {
        assertThatThrownBy(() -> propose(text)).isInstanceOf(FileRefused.class);
    }

    @Test
    void filesThatAreNoTextAreRefusedInWords() {
        assertThatThrownBy(() -> TextForm.of(new byte[0])).hasMessageContaining("empty");
        assertThatThrownBy(() -> TextForm.of(new byte[] {0x50, 0x4B, 3, 4, 0})).hasMessageContaining("zip");
        assertThatThrownBy(() -> TextForm.of(new byte[] {0x1F, (byte) 0x8B, 8})).hasMessageContaining("gzip");
        assertThatThrownBy(() -> TextForm.of(new byte[] {7, 0, 1, 2})).hasMessageContaining("not a text file");
    }

    @ParameterizedTest
    @ValueSource(strings = {"UTF-8", "UTF-16LE", "UTF-16BE"})
    void byteOrderMarksAreUnderstood(String charset) throws IOException {
        byte[] file = ("\uFEFF" + "time,Temp °C\n2026-11-12 09:55,25.1\n").getBytes(charset);
        assertThat(readAsGuessed(file).values).containsExactly(25.1);
    }
}
