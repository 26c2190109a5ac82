package jollytide.server.account;

import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.nio.charset.StandardCharsets;
import java.util.List;
import jollytide.server.problem.Problem;
import org.springframework.boot.ApplicationArguments;
import org.springframework.boot.ApplicationRunner;
import org.springframework.boot.SpringApplication;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.context.ApplicationContext;
import org.springframework.stereotype.Component;

/** {@code ./run --reset-password}: whoever sits at the machine may set a new password. Name, password and whether to revoke tokens on stdin. */
@Component
@ConditionalOnProperty(name = "jollytide.task", havingValue = "reset-password")
class PasswordReset implements ApplicationRunner {
    private final Accounts accounts;
    private final ApplicationContext context;

    PasswordReset(Accounts accounts, ApplicationContext context) {
        this.accounts = accounts;
        this.context = context;
    }

    @Override
    public void run(ApplicationArguments args) throws IOException {
        int exit = 1;
        List<String> lines = new BufferedReader(new InputStreamReader(System.in, StandardCharsets.UTF_8))
                .lines()
                .limit(3)
                .toList();
        if (lines.size() >= 2) {
            boolean tokens = lines.size() == 3 && lines.get(2).equals("y");
            try {
                accounts.resetPassword(lines.get(0), lines.get(1), tokens);
                System.out.println("Password changed. Everyone was signed out"
                        + (tokens ? ", and all tokens were revoked." : ". Tokens still work."));
                exit = 0;
            } catch (Problem e) {
                System.err.println(e.getMessage());
            }
        } else {
            System.err.println("Enter a name and a new password, each on its own line.");
        }
        int code = exit;
        System.exit(SpringApplication.exit(context, () -> code));
    }
}
