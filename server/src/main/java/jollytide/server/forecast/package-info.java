/** Every night each twin is fitted anew and forecasts the day; what came is held against it. */
package jollytide.server.forecast;
