/** All tanks of a keeper on one page: the last day of each, the most urgent first. */
package jollytide.server.house;
