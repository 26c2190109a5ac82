package jollytide.server.twin;

import java.io.IOException;
import java.net.URISyntaxException;
import java.nio.charset.StandardCharsets;
import java.nio.file.FileSystemNotFoundException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.security.MessageDigest;
import java.security.NoSuchAlgorithmException;
import java.time.Clock;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.Arrays;
import java.util.Collection;
import java.util.HashMap;
import java.util.HexFormat;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import java.util.stream.Stream;
import jollytide.core.description.TankParameters;
import jollytide.core.fit.FittedTank;
import jollytide.core.fit.Reading;
import jollytide.core.fit.Unknown;
import org.hipparchus.linear.MatrixUtils;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.dao.DataAccessException;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.jdbc.core.namedparam.MapSqlParameterSource;
import org.springframework.jdbc.core.namedparam.NamedParameterJdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/** The last fit of each tank, kept with a fingerprint of all that it was made from. */
@Component
class FitStore {
    private static final Logger LOG = LoggerFactory.getLogger(FitStore.class);
    /** Of the document below. */
    private static final int VERSION = 2;

    private final NamedParameterJdbcTemplate jdbc;
    private final JsonMapper json;
    private final Clock clock;
    private final byte[] model = model();

    FitStore(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
        this.jdbc = new NamedParameterJdbcTemplate(jdbc);
        this.json = json;
        this.clock = clock;
    }

    /** A fit as it is kept; the covariance row by row. */
    private record Document(
            TankParameters expected,
            List<Unknown> unknowns,
            List<Double> prior,
            List<Double> size,
            List<List<Double>> covariance,
            List<Reading> left,
            double persistence,
            double freshPh,
            double dispersion,
            List<TankParameters> tanks,
            boolean toLog,
            @Nullable String problem) {

        static Document of(TwinBook.Fitted fitted) {
            FittedTank tank = fitted.tank();
            return new Document(
                    tank.expected(),
                    tank.unknowns(),
                    tank.prior(),
                    list(tank.size().toArray()),
                    Stream.of(tank.covariance().getData()).map(Document::list).toList(),
                    tank.left(),
                    tank.persistence(),
                    tank.freshPh(),
                    tank.dispersion(),
                    fitted.tanks(),
                    fitted.toLog(),
                    fitted.problem());
        }

        private static List<Double> list(double[] values) {
            return Arrays.stream(values).boxed().toList();
        }

        private static double[] array(List<Double> values) {
            return values.stream().mapToDouble(Double::doubleValue).toArray();
        }

        TwinBook.Fitted fitted() {
            double[][] rows = covariance.stream().map(Document::array).toArray(double[][]::new);
            return new TwinBook.Fitted(
                    new FittedTank(
                            expected,
                            unknowns,
                            prior,
                            MatrixUtils.createRealVector(array(size)),
                            MatrixUtils.createRealMatrix(rows),
                            left,
                            persistence,
                            freshPh,
                            dispersion),
                    tanks,
                    toLog,
                    problem);
        }
    }

    /** A fingerprint of what a fit is made from, the model included: another build of the core makes its own. */
    String fingerprint(Object from) {
        MessageDigest digest = sha256();
        digest.update(model);
        return HexFormat.of().formatHex(digest.digest(from.toString().getBytes(StandardCharsets.UTF_8)));
    }

    /** Of the core's classes as they run. */
    private static byte[] model() {
        MessageDigest digest = sha256();
        try {
            Path core = Path.of(FittedTank.class
                    .getProtectionDomain()
                    .getCodeSource()
                    .getLocation()
                    .toURI());
            try (Stream<Path> files = Files.walk(core)) {
                for (Path file : files.filter(Files::isRegularFile).sorted().toList()) {
                    digest.update(Files.readAllBytes(file));
                }
            }
            return digest.digest();
        } catch (IOException | URISyntaxException | FileSystemNotFoundException unknown) {
            LOG.warn("the core's build is not known: fits are made anew at every start", unknown);
            return UUID.randomUUID().toString().getBytes(StandardCharsets.UTF_8);
        }
    }

    private static MessageDigest sha256() {
        try {
            return MessageDigest.getInstance("SHA-256");
        } catch (NoSuchAlgorithmException e) {
            throw new IllegalStateException(e);
        }
    }

    /** Those of the tanks' fits that are still of such fingerprints. */
    Map<UUID, TwinBook.Fitted> of(Map<UUID, String> fingerprints) {
        Map<UUID, TwinBook.Fitted> kept = new HashMap<>();
        if (fingerprints.isEmpty()) {
            return kept;
        }
        Collection<UUID> tanks = fingerprints.keySet();
        jdbc.query(
                "select tank_id, fingerprint, document from twin_fit where tank_id in (:tanks) and version = :version",
                new MapSqlParameterSource()
                        .addValue("tanks", tanks.stream().map(UUID::toString).toList())
                        .addValue("version", VERSION),
                row -> {
                    UUID tank = UUID.fromString(row.getString(1));
                    if (row.getString(2).equals(fingerprints.get(tank))) {
                        TwinBook.Fitted fitted = read(tank, row.getString(3));
                        if (fitted != null) {
                            kept.put(tank, fitted);
                        }
                    }
                });
        return kept;
    }

    private TwinBook.@Nullable Fitted read(UUID tank, String document) {
        try {
            return json.readValue(document, Document.class).fitted();
        } catch (JacksonException unreadable) {
            LOG.warn("the kept fit of tank {} cannot be read and is made anew", tank, unreadable);
            return null;
        }
    }

    /** Kept for the next start. That it cannot be kept is no reason to keep the answer back. */
    void keep(UUID tank, String fingerprint, TwinBook.Fitted fitted) {
        try {
            jdbc.update(
                    "insert into twin_fit (tank_id, fingerprint, made_at, version, document)"
                            + " values (:tank, :fingerprint, :at, :version, :document)"
                            + " on duplicate key update fingerprint = values(fingerprint), made_at = values(made_at),"
                            + " version = values(version), document = values(document)",
                    new MapSqlParameterSource()
                            .addValue("tank", tank.toString())
                            .addValue("fingerprint", fingerprint)
                            .addValue("at", LocalDateTime.ofInstant(clock.instant(), ZoneOffset.UTC))
                            .addValue("version", VERSION)
                            .addValue("document", json.writeValueAsString(Document.of(fitted))));
        } catch (DataAccessException notKept) {
            LOG.warn("the fit of tank {} could not be kept", tank, notKept);
        }
    }
}
