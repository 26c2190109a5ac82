package jollytide.server.account;

/** The token in clear, shown this once. */
public record NewToken(String token) implements ShownOnce {}
