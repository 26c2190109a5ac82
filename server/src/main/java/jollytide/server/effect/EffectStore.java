package jollytide.server.effect;

import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import jollytide.core.unnoted.Cause;
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
    private final JdbcTemplate jdbc;

    EffectStore(JdbcTemplate jdbc, JsonMapper json, Clock clock) {
        this.jdbc = jdbc;
        cards = new FingerprintedDocuments<>(jdbc, json, clock, "effect_card", Made.class, 2);
        searches = new FingerprintedDocuments<>(jdbc, json, clock, "unnoted_search", Searched.class, 1);
    }

    FingerprintedDocuments<Made> cards() {
        return cards;
    }

    FingerprintedDocuments<Searched> searches() {
        return searches;
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
}
