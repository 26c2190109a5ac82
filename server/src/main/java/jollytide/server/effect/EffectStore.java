package jollytide.server.effect;

import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import jollytide.core.suspects.Check;
import jollytide.core.suspects.Evidence;
import jollytide.core.suspects.Given;
import jollytide.core.unnoted.Cause;
import jollytide.core.unnoted.Unnoted;
import jollytide.server.effect.EffectViews.Made;
import jollytide.server.effect.UnnotedViews.Searched;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** The cards that were made, the stretches that were searched, and what keepers said is nothing. */
@Component
class EffectStore {
    private final FingerprintedDocuments<Made> cards;
    private final FingerprintedDocuments<Searched> searches;
    private final FingerprintedDocuments<Evidence> evidence;
    private final JdbcTemplate jdbc;

    EffectStore(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        cards = new FingerprintedDocuments<>(jdbc, json, clock, "effect_card", Made.class, 2);
        searches = new FingerprintedDocuments<>(jdbc, json, clock, "unnoted_search", Searched.class, 2);
        evidence = new FingerprintedDocuments<>(jdbc, json, clock, "suspect_evidence", Evidence.class, 2);
    }

    FingerprintedDocuments<Made> cards() {
        return cards;
    }

    FingerprintedDocuments<Searched> searches() {
        return searches;
    }

    FingerprintedDocuments<Evidence> evidence() {
        return evidence;
    }

    /** A change of which somebody said that it was nothing. */
    record Dismissed(LocalDate from, Cause cause) {}

    List<Dismissed> dismissed(UUID tank) {
        return jdbc.query(
                "select from_day, cause from dismissed_change where tank_id = ?",
                (row, i) -> new Dismissed(row.getObject(1, LocalDate.class), Cause.valueOf(row.getString(2))),
                tank.toString());
    }

    void dismiss(UUID tank, Dismissed one) {
        jdbc.update(
                "insert ignore into dismissed_change (tank_id, from_day, cause) values (?, ?, ?)",
                tank.toString(),
                one.from(),
                one.cause().name());
    }

    void takeBack(UUID tank, Dismissed one) {
        jdbc.update(
                "delete from dismissed_change where tank_id = ? and from_day = ? and cause = ?",
                tank.toString(),
                one.from(),
                one.cause().name());
    }

    /** The days from which searches show it to be less. */
    List<LocalDate> shown(UUID tank, Cause cause) {
        return jdbc.queryForList(
                "select from_day from shown_change where tank_id = ? and cause = ? order by from_day",
                LocalDate.class,
                tank.toString(),
                cause.name());
    }

    /** Of the days from one to another, nothing else is shown. */
    void show(UUID tank, LocalDate from, LocalDate until, List<Unnoted> less) {
        jdbc.update(
                "delete from shown_change where tank_id = ? and from_day >= ? and from_day < ?",
                tank.toString(),
                from,
                until);
        less.forEach(one -> jdbc.update(
                "insert ignore into shown_change (tank_id, from_day, cause) values (?, ?, ?)",
                tank.toString(),
                one.from(),
                one.cause().name()));
    }

    /** What somebody found at a check, and when. */
    record Checked(Given given, Instant at) {}

    List<Checked> checked(UUID tank, Instant since) {
        return jdbc.query(
                "select done, answer, at from suspect_check where tank_id = ? and at >= ? order by at",
                (row, i) -> new Checked(
                        new Given(Check.valueOf(row.getString(1)), row.getInt(2)),
                        row.getObject(3, LocalDateTime.class).toInstant(ZoneOffset.UTC)),
                tank.toString(),
                FingerprintedDocuments.utc(since));
    }

    void check(UUID tank, Checked one) {
        jdbc.update(
                "insert into suspect_check (tank_id, done, answer, at) values (?, ?, ?, ?)"
                        + " on duplicate key update answer = values(answer), at = values(at)",
                tank.toString(),
                one.given().check().name(),
                one.given().answer(),
                FingerprintedDocuments.utc(one.at()));
    }

    void uncheck(UUID tank, Check check) {
        jdbc.update("delete from suspect_check where tank_id = ? and done = ?", tank.toString(), check.name());
    }
}
