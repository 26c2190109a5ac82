package jollytide.core.logfile;

import java.util.List;

/**
 * What a file seems to hold, for the keeper to confirm.
 *
 * @param timeForms the forms in which its times can be read; more than one when the file does not tell day from month
 * @param zoneStated whether its times carry an offset, so that no zone has to be asked for
 * @param channels what could be taken into the log
 */
public record Proposal(Layout layout, List<TimeForm> timeForms, boolean zoneStated, List<Channel> channels) {}
