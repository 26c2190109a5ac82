package jollytide.server.experiment;

/** Why an experiment was over. */
enum Ended {
    /** At its end, or when its keeper had enough of it. */
    DONE,
    /** For the animals: they gasped, or their oxygen ran short. */
    ANIMALS
}
