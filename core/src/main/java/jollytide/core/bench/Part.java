package jollytide.core.bench;

import jollytide.core.exchange.Fall;
import jollytide.core.exchange.Path;
import jollytide.core.exchange.Stone;
import jollytide.core.exchange.Surface;
import jollytide.core.exchange.SurfaceClass;
import jollytide.core.twin.Channel;
import jollytide.core.twin.Opening;

/**
 * A part of the tank that lies open to air.
 *
 * @param name as the keeper calls it
 */
public record Part(String name, Channel.Kind kind, Opening.Air over, Path path) {
    public static Part surface(String name, Opening.Air over, Surface surface) {
        return new Part(name, Channel.Kind.SURFACE, over, surface);
    }

    public static Part fall(String name, Opening.Air over, Fall fall) {
        return new Part(name, Channel.Kind.FALL, over, fall);
    }

    public static Part stone(String name, Opening.Air air, Stone stone) {
        return new Part(name, Channel.Kind.STONE, air, stone);
    }

    /** With every pump off: surfaces lie still, falls run dry, stones give nothing. */
    Part still() {
        return path instanceof Surface surface
                ? surface(name, over, new Surface(surface.areaM2(), SurfaceClass.STILL))
                : new Part(name, kind, over, new Fall(0, 0));
    }
}
