package jollytide.core.outage;

/**
 * What keepers put in against ammonia while filters recover. How much each takes up is not known of any tank, so none
 * lowers what is counted; each changes what has to be watched. Common practice.
 */
public enum AgainstAmmonia {
    SEASONED_SPONGE("A seasoned sponge works at once, but nobody knows how much it takes up."),
    BACTERIA("Bottled bacteria use oxygen and may need days: keep the air running."),
    BINDER(
            "Many kits still count bound ammonia: use one that shows free ammonia. Binders can use oxygen, so keep the air running.");

    private final String says;

    AgainstAmmonia(String says) {
        this.says = says;
    }

    String says() {
        return says;
    }
}
