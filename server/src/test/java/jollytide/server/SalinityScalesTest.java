package jollytide.server;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Map;
import java.util.TreeMap;
import java.util.function.Function;
import java.util.stream.IntStream;
import jollytide.core.seawater.SalinityUnit;
import jollytide.server.account.SalinityChoice;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.json.JsonMapper;

/** The web shows salinity on the keeper's scale by a table of whole salinities that the core makes. */
class SalinityScalesTest {
    private static final Path COMMITTED = Path.of("../web/src/lib/salinity.json");
    private static final Map<SalinityChoice, SalinityUnit> SCALES = Map.of(
            SalinityChoice.SG_25, SalinityUnit.SPECIFIC_GRAVITY_25,
            SalinityChoice.SG_20, SalinityUnit.SPECIFIC_GRAVITY_20,
            SalinityChoice.MS_PER_CM, SalinityUnit.MS_PER_CM);

    @Test
    void theCommittedTableIsCurrent() throws IOException {
        Function<SalinityUnit, double[]> table = unit -> IntStream.rangeClosed(0, 45)
                .mapToDouble(psu -> Math.round(unit.fromPsu(psu) * 1e6) / 1e6)
                .toArray();
        Map<String, double[]> all = new TreeMap<>();
        SCALES.forEach((choice, unit) -> all.put(choice.name(), table.apply(unit)));
        String current = JsonMapper.builder().build().writeValueAsString(all) + "\n";
        String committed = Files.exists(COMMITTED) ? Files.readString(COMMITTED) : "";
        if (!current.replaceAll("\\s", "").equals(committed.replaceAll("\\s", ""))) {
            Files.writeString(COMMITTED, current);
        }
        assertThat(current.replaceAll("\\s", ""))
                .as("web/src/lib/salinity.json was out of date; it has been written anew, commit it")
                .isEqualTo(committed.replaceAll("\\s", ""));
    }

    /** A straight line between whole salinities is nearer to the curve than any instrument. */
    @Test
    void theTableIsFineEnough() {
        SCALES.values()
                .forEach(unit -> IntStream.range(0, 45).forEach(psu -> {
                    double straight = (unit.fromPsu(psu) + unit.fromPsu(psu + 1)) / 2;
                    double psuOff = Math.abs(unit.toPsu(straight) - (psu + 0.5));
                    assertThat(psuOff).as(unit + " " + psu).isLessThan(0.02);
                }));
    }
}
