package jollytide.server.account;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.List;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.stream.IntStream;
import jollytide.server.ServerTest;
import jollytide.server.Visitor;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;

/** Guessing passwords, by name, from one address, many at once; and a keeper whom that must not lock out. */
class GuessingTest extends ServerTest {
    @Autowired
    private SignInThrottle throttle;

    @BeforeEach
    void nobodyHasGuessedYet() {
        throttle.forgetAll();
    }

    private static String credentials(String name, String password) {
        return "{\"name\":\"" + name + "\",\"password\":\"" + password + "\"}";
    }

    @Test
    void spellingsThatTheDatabaseTakesForOneNameShareABudget() {
        String name = "guess" + UUID.randomUUID();
        visitor().post("/keepers", credentials(name, "the real password"));
        List<String> spellings = List.of(
                name,
                name.toUpperCase(java.util.Locale.ROOT),
                name.replace("gu", "ｇü"),
                name.replace("guess", "gue\u200bss"),
                name + "\u00a0");
        Visitor guesser = visitor();
        for (String spelling : spellings) {
            assertThat(guesser.post("/session", credentials(spelling, "a wrong one"))
                            .status())
                    .as(spelling)
                    .isEqualTo(401);
        }
        for (String spelling : spellings) {
            assertThat(guesser.post("/session", credentials(spelling, "the real password"))
                            .status())
                    .as(spelling)
                    .isEqualTo(429);
        }
    }

    @Test
    void manyAtOnceAreCountedBeforeTheirPasswordsAreCompared() throws Exception {
        String name = "at-once" + UUID.randomUUID();
        visitor().post("/keepers", credentials(name, "the real password"));
        List<Integer> answers = atOnce(
                40,
                i -> visitor().post("/session", credentials(name, "guess " + i)).status());
        assertThat(answers).filteredOn(status -> status == 401).hasSizeLessThanOrEqualTo(5);
        assertThat(answers).containsOnly(401, 429);
    }

    @Test
    void oneAddressDoesNotTryOneNameAfterTheOther() throws Exception {
        List<Integer> answers = atOnce(
                60,
                i -> visitor()
                        .post("/session", credentials("nobody " + i, "a guess"))
                        .status());
        assertThat(answers).filteredOn(status -> status == 401).hasSizeLessThanOrEqualTo(20);
        assertThat(answers).contains(429);
    }

    @Test
    void aKeeperComesInFromTheirOwnBrowserWhateverOthersGuess() {
        String name = "keeper" + UUID.randomUUID();
        Visitor keeper = visitor();
        keeper.post("/keepers", credentials(name, "the real password"));
        Visitor guesser = visitor();
        for (int i = 0; i < 30; i++) {
            guesser.post("/session", credentials(name, "guess " + i));
        }
        assertThat(keeper.get("/homes").status()).as("the open session").isEqualTo(200);
        keeper.delete("/session");
        assertThat(keeper.post("/session", credentials(name, "the real password"))
                        .status())
                .as("a browser that is known")
                .isEqualTo(200);
        assertThat(visitor()
                        .post("/session", credentials(name, "the real password"))
                        .status())
                .as("any other")
                .isEqualTo(429);
    }

    @Test
    void waitingIsSaidInTheHeadOfTheAnswer() {
        String name = "waits" + UUID.randomUUID();
        Visitor guesser = visitor();
        for (int i = 0; i < 5; i++) {
            guesser.post("/session", credentials(name, "guess"));
        }
        Visitor.Answer answer = guesser.post("/session", credentials(name, "guess"));
        assertThat(answer.status()).isEqualTo(429);
        assertThat(Integer.parseInt(answer.header("Retry-After"))).isPositive();
        assertThat(answer.problem()).contains("Try again in");
    }

    @Test
    void aChangedPasswordPutsOutTheOtherBrowsersAndTokensIfAsked() {
        String name = "changes" + UUID.randomUUID();
        Visitor here = visitor();
        here.post("/keepers", credentials(name, "the first password"));
        here.get("/session");
        Visitor elsewhere = visitor();
        elsewhere.post("/session", credentials(name, "the first password"));
        String token = here.post("/tokens", "{\"label\":\"script\"}")
                .body()
                .path("token")
                .asString();

        String wrong = "{\"current\":\"not it at all\",\"next\":\"the second password\",\"revokeTokens\":false}";
        assertThat(here.put("/me/password", wrong).firstError().path("field").asString())
                .isEqualTo("current");
        String first = wrong.replace("not it at all", "the first password");
        assertThat(here.put("/me/password", first.replace("the second password", "short"))
                        .status())
                .isEqualTo(422);
        assertThat(here.put("/me/password", first).status()).isEqualTo(204);
        assertThat(here.get("/homes").status()).isEqualTo(200);
        assertThat(elsewhere.get("/homes").status()).isEqualTo(401);
        assertThat(visitor().withBearer(token).get("/homes").status()).isEqualTo(200);
        assertThat(elsewhere
                        .post("/session", credentials(name, "the first password"))
                        .status())
                .isEqualTo(401);
        assertThat(elsewhere
                        .post("/session", credentials(name, "the second password"))
                        .status())
                .isEqualTo(200);

        String second = "{\"current\":\"the second password\",\"next\":\"the third password\",\"revokeTokens\":true}";
        assertThat(here.put("/me/password", second).status()).isEqualTo(204);
        assertThat(visitor().withBearer(token).get("/homes").status()).isEqualTo(401);
    }

    @Test
    void aResetPutsEverybodyOut() {
        String name = "reset" + UUID.randomUUID();
        Visitor keeper = visitor();
        keeper.post("/keepers", credentials(name, "the first password"));
        accounts.resetPassword(name, "the second password", false);
        assertThat(keeper.get("/homes").status()).isEqualTo(401);
        assertThat(keeper.post("/session", credentials(name, "the second password"))
                        .status())
                .isEqualTo(200);
    }

    @Autowired
    private Accounts accounts;

    private interface Numbered<T> {
        T of(int i);
    }

    private static <T> List<T> atOnce(int n, Numbered<T> call) throws Exception {
        ExecutorService pool = Executors.newFixedThreadPool(n);
        try {
            List<Callable<T>> calls = IntStream.range(0, n)
                    .<Callable<T>>mapToObj(i -> () -> call.of(i))
                    .toList();
            List<T> answers = new java.util.ArrayList<>();
            for (Future<T> each : pool.invokeAll(calls)) {
                answers.add(each.get());
            }
            return answers;
        } finally {
            pool.shutdownNow();
        }
    }
}
