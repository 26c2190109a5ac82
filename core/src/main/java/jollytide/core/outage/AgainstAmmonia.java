package jollytide.core.outage;

/**
 * What keepers put in against ammonia while filters recover. How much each takes up is not known of any tank, so none
 * lowers what is counted; each changes what has to be watched. Common practice.
 */
public enum AgainstAmmonia {
    SEASONED_SPONGE("A seasoned sponge works at once. We can’t tell how much it removes."),
    BACTERIA("Keep air running: bottled bacteria use oxygen and need days."),
    BINDER("Use a kit that shows free ammonia. Keep air running: binders can use oxygen.");

    private final String says;

    AgainstAmmonia(String says) {
        this.says = says;
    }

    String says() {
        return says;
    }
}
