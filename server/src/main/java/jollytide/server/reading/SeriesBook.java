package jollytide.server.reading;

import java.util.List;
import java.util.UUID;
import jollytide.core.evidence.Place;
import jollytide.core.evidence.Quantity;
import jollytide.core.logfile.Meaning;
import jollytide.server.problem.FieldError;
import jollytide.server.problem.Problem;
import jollytide.server.tank.Tank;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.stereotype.Component;

/** Finds the series that a reading belongs to, and opens it where there is none yet. */
@Component
public class SeriesBook {
    private final JdbcTemplate jdbc;

    SeriesBook(JdbcTemplate jdbc) {
        this.jdbc = jdbc;
    }

    /** The id of the tank's series for {@code meaning}. Two first readings at once share one series. */
    public long idFor(Tank tank, Meaning meaning) {
        UUID subject = subject(tank, meaning.place());
        Object[] key = {
            subject,
            meaning.unit().quantity().name(),
            meaning.place().name(),
            meaning.method().name(),
            meaning.unit().name()
        };
        List<Long> known = find(key);
        if (known.isEmpty()) {
            jdbc.update(
                    "insert ignore into series"
                            + " (home_id, room_id, tank_id, subject_id, quantity, place, method, unit)"
                            + " values (?, ?, ?, ?, ?, ?, ?, ?)",
                    tank.home().id(),
                    meaning.place() == Place.ROOM ? tank.room().id() : null,
                    subject.equals(tank.id()) ? tank.id() : null,
                    key[0],
                    key[1],
                    key[2],
                    key[3],
                    key[4]);
            known = find(key);
        }
        return known.get(0);
    }

    private List<Long> find(Object[] key) {
        return jdbc.queryForList(
                "select id from series where subject_id = ? and quantity = ? and place = ? and method = ? and unit = ?",
                Long.class,
                key);
    }

    /** Whose reading it is: the tank's, its room's, or its home's. */
    static UUID subject(Tank tank, Place place) {
        return switch (place) {
            case TANK, INTAKE -> tank.id();
            case ROOM -> tank.room().id();
            case OUTDOORS -> tank.home().id();
        };
    }

    /** @throws Problem when such a thing is not measured at such a place */
    public static void check(String field, Meaning meaning) {
        boolean air = meaning.unit().quantity() == Quantity.CO2;
        if (air == (meaning.place() == Place.TANK)) {
            throw Problem.refused(new FieldError(
                    field + ".place",
                    meaning.place().name(),
                    air ? "ROOM, OUTDOORS or INTAKE" : "TANK",
                    meaning.unit().quantity() + " is measured in the " + (air ? "air" : "tank") + "."));
        }
    }
}
