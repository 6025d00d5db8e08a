package io.enthalpa.server.command;

/** Prints what the program can do. */
public final class HelpCommand {
    private HelpCommand() {
    }

    public static void print() {
        System.out.print("""
                Enthalpa: charge coolers, boost piping and intake temperature under sustained load.

                  enthalpa demo [--port N] [--data DIR]    open the demo builds; without --data they are thrown away at the end
                  enthalpa serve --data DIR [--port N]     serve the builds kept in DIR on this machine
                  enthalpa solve FILE [--option A] [--table]
                                                           the charge line of a build file at full load
                  enthalpa soak FILE [--option A] [--table]
                                                           the same build through its duty
                  enthalpa test                            run every test
                  enthalpa help                            this text

                FILE is a build exported from its page; "-" reads standard input. solve and soak print JSON, with --table a table.
                Exit status: 0 done, 2 refused (the reason is on standard error).
                """);
    }
}
