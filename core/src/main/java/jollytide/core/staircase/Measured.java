package jollytide.core.staircase;

/** The numbers that a staircase is computed from, known or assumed; an input that is missing altogether is NaN. */
record Measured(
        double phNbs,
        double alkalinityMeqPerL,
        double temperatureC,
        double salinityPsu,
        double roomPpm,
        double outdoorPpm) {

    static final Measured NOTHING =
            new Measured(Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN, Double.NaN);

    Measured with(InputName input, double value) {
        return new Measured(
                input == InputName.PH ? value : phNbs,
                input == InputName.ALKALINITY ? value : alkalinityMeqPerL,
                input == InputName.TEMPERATURE ? value : temperatureC,
                input == InputName.SALINITY ? value : salinityPsu,
                input == InputName.ROOM_CO2 ? value : roomPpm,
                input == InputName.OUTDOOR_CO2 ? value : outdoorPpm);
    }
}
