/** Lines that dose a tank: what is planned, what their reservoirs show, and what arrives. */
package jollytide.server.dosing;
