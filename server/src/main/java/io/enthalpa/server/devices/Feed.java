package io.enthalpa.server.devices;

import java.io.IOException;
import java.io.InputStream;

/** Where the lines of a device come from. What they say is the same for all: docs/devices.md. */
interface Feed {
    /** @return as a reader knows it before it has said anything */
    String name();

    /** @return whether nothing is measured behind it */
    boolean isSimulated();

    /** Opened again when it was lost. */
    InputStream open() throws IOException;
}
