package jollytide.server.setup;

import java.net.InetAddress;
import java.net.UnknownHostException;
import java.util.List;
import org.springframework.boot.context.properties.ConfigurationProperties;

/**
 * What the start command decides.
 *
 * @param demo whether the demo home is made and its door stands open
 * @param bind the address the server listens on
 * @param hosts further names under which people reach it
 * @param nightly whether twins are fitted anew after each midnight without anybody asking
 */
@ConfigurationProperties("jollytide")
public record Settings(boolean demo, String bind, List<String> hosts, boolean nightly) {

    /** Whether only this machine can reach the server. */
    public boolean onLoopback() {
        try {
            return InetAddress.getByName(bind).isLoopbackAddress();
        } catch (UnknownHostException e) {
            return false;
        }
    }

    /** The demo signs anybody in, so it is never offered to a network. */
    public boolean demoDoor() {
        return demo && onLoopback();
    }
}
