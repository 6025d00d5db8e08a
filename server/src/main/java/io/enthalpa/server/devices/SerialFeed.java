package io.enthalpa.server.devices;

import io.enthalpa.core.fault.EnthalpaFault;
import io.enthalpa.core.fault.FaultKind;
import java.io.IOException;
import java.io.InputStream;
import java.nio.file.Files;
import java.nio.file.Path;

/** A device on a serial line, whose speed was set outside: {@code stty -F /dev/ttyUSB0 115200 raw}. */
record SerialFeed(Path line) implements Feed {
    static SerialFeed of(String path) {
        Path line = Path.of(path.strip()).normalize();
        if (!line.startsWith("/dev") || !line.getFileName().toString().startsWith("tty")) {
            throw EnthalpaFault.of(
                    FaultKind.CONTRADICTION, "path", "serial line", path, "one such as /dev/ttyUSB0", "");
        }
        return new SerialFeed(line);
    }

    @Override
    public String name() {
        return line.toString();
    }

    @Override
    public boolean isSimulated() {
        return false;
    }

    @Override
    public InputStream open() throws IOException {
        return Files.newInputStream(line);
    }
}
