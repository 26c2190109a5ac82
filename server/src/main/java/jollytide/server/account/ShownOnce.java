package jollytide.server.account;

/** An answer with a secret in it: shown to who asked, and kept nowhere. */
public interface ShownOnce {}
