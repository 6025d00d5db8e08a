package io.enthalpa.server.devices;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.io.FilterInputStream;
import java.io.IOException;
import java.io.InputStream;
import java.net.InetAddress;
import java.net.InetSocketAddress;
import java.net.Socket;
import java.net.UnknownHostException;

/** A device that is listened to over the network of the shop. */
record SocketFeed(String host, int port) implements Feed {
    private static final int PATIENCE_MS = 3000;

    /** @throws EnthalpaFault for an address that is not of one's own network: nothing here calls out into the world */
    static SocketFeed of(String host, int port) {
        EnthalpaFault.within("port", port, 1, 65_535, "");
        try {
            InetAddress address = InetAddress.getByName(host.strip());
            if (!address.isLoopbackAddress() && !address.isSiteLocalAddress() && !address.isLinkLocalAddress()) {
                throw EnthalpaFault.of(
                        FaultKind.CONTRADICTION,
                        "host",
                        "address of the device",
                        host,
                        "one of your own network, as 192.168.1.20",
                        "");
            }
        } catch (UnknownHostException e) {
            throw EnthalpaFault.of(
                    FaultKind.MALFORMED,
                    "host",
                    "address of the device",
                    host,
                    "one that is known, as 192.168.1.20",
                    "");
        }
        return new SocketFeed(host.strip(), port);
    }

    @Override
    public String name() {
        return host + ":" + port;
    }

    @Override
    public boolean isSimulated() {
        return false;
    }

    @Override
    public InputStream open() throws IOException {
        Socket socket = new Socket();
        socket.connect(new InetSocketAddress(host, port), PATIENCE_MS);
        return new FilterInputStream(socket.getInputStream()) {
            @Override
            public void close() throws IOException {
                socket.close();
            }
        };
    }
}
