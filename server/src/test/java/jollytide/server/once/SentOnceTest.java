package jollytide.server.once;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import jollytide.server.Samples;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import jollytide.server.Visitor.Answer;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

class SentOnceTest extends ServerTest {
    private static final String SOCK = "{\"chore\":\"SOCK\",\"name\":\"\",\"days\":null,\"lastDone\":null}";

    @Autowired
    private JdbcTemplate jdbc;

    private Visitor keeper;
    private String upkeep;
    private String id;

    @BeforeEach
    void aTank() {
        keeper = visitor().asNewKeeper();
        upkeep = "/tanks/" + Samples.tank(keeper) + "/upkeep";
        id = UUID.randomUUID().toString();
    }

    private int tasks() {
        return keeper.get(upkeep).body().path("tasks").size();
    }

    @Test
    void sentAgainItIsAnsweredAsBefore() {
        Answer first = keeper.post(upkeep, SOCK, id);
        Answer again = keeper.post(upkeep, SOCK, id);
        assertThat(first.status()).isEqualTo(201);
        assertThat(again.status()).isEqualTo(201);
        assertThat(again.body()).isEqualTo(first.body());
        assertThat(tasks()).isEqualTo(1);
        // Meant a second time, it has another name.
        assertThat(keeper.post(upkeep, SOCK, UUID.randomUUID().toString()).status())
                .isEqualTo(201);
        assertThat(keeper.post(upkeep, SOCK).status()).isEqualTo(201);
        assertThat(tasks()).isEqualTo(3);
    }

    /** Two presses, two tabs: one thing, and both are told of it. */
    @Test
    void sentTwiceAtOnceItIsMadeOnce() throws Exception {
        ExecutorService hands = Executors.newFixedThreadPool(4);
        List<Integer> statuses = new ArrayList<>();
        String bearer = token();
        List<Future<Answer>> answers = new ArrayList<>();
        for (int i = 0; i < 4; i++) {
            answers.add(hands.submit(() -> visitor().withBearer(bearer).post(upkeep, SOCK, id)));
        }
        for (Future<Answer> answer : answers) {
            statuses.add(answer.get().status());
        }
        hands.shutdown();
        assertThat(statuses).containsOnly(201);
        assertThat(tasks()).isEqualTo(1);
    }

    private String token() {
        return keeper.post("/tokens", "{\"label\":\"hand\"}")
                .body()
                .path("token")
                .asString();
    }

    /** What was refused is judged anew, mended or not. */
    @Test
    void whatWasRefusedMayBeSentAgain() {
        assertThat(keeper.post(upkeep, SOCK.replace("SOCK", "OWN"), id).status())
                .isEqualTo(422);
        assertThat(keeper.post(upkeep, SOCK, id).status()).isEqualTo(201);
    }

    @Test
    void aNameStandsForOneRequestOfOneKeeper() {
        keeper.post(upkeep, SOCK, id);
        Answer elsewhere = keeper.post(upkeep.replace("/upkeep", "/events"), "{}", id);
        assertThat(elsewhere.status()).isEqualTo(422);
        Visitor other = visitor().asNewKeeper();
        String theirs = "/tanks/" + Samples.tank(other) + "/upkeep";
        assertThat(other.post(theirs, SOCK, id).status()).isEqualTo(201);
        assertThat(other.get(theirs).body().path("tasks").size()).isEqualTo(1);
        assertThat(keeper.post(upkeep, SOCK, "not a UUID").status()).isEqualTo(422);
    }

    /** A server that died between saving and answering: nobody can say what became of it. */
    @Test
    void whatWasCutOffIsNotMadeTwiceInSilence() {
        keeper.post(upkeep, SOCK, id);
        jdbc.update("update sent_once set status = null, answer = null where request_id = ?", UUID.fromString(id));
        Answer again = keeper.post(upkeep, SOCK, id);
        assertThat(again.status()).isEqualTo(409);
        assertThat(again.problem()).contains("Check whether it was saved");
        assertThat(tasks()).isEqualTo(1);
    }

    /** Tokens are shown once, and kept nowhere. */
    @Test
    void secretsAreNotRemembered() {
        Answer first = keeper.post("/tokens", "{\"label\":\"a\"}", id);
        assertThat(first.status()).isEqualTo(201);
        assertThat(jdbc.queryForObject(
                        "select count(*) from sent_once where request_id = ?", Integer.class, UUID.fromString(id)))
                .isZero();
    }
}
