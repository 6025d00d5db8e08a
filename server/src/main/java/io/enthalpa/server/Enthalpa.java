package io.enthalpa.server;

import io.enthalpa.server.command.BackupCommand;
import io.enthalpa.server.command.HelpCommand;
import io.enthalpa.server.command.LogCommand;
import io.enthalpa.server.command.RouteCommand;
import io.enthalpa.server.command.ServeCommand;
import io.enthalpa.server.command.SolveCommand;
import io.enthalpa.server.problem.StartFault;
import java.util.Arrays;
import java.util.Locale;

/** The one program: server and command line. Commands that need no server do not start one. */
public final class Enthalpa {
    private Enthalpa() {}

    public static void main(String[] args) {
        // Numbers in messages and files read the same wherever the machine stands.
        Locale.setDefault(Locale.ROOT);
        int status = run(args);
        if (status != 0) {
            System.exit(status);
        }
    }

    /** @return 0 when done or serving, 2 when refused; the refusal is on standard error */
    static int run(String... args) {
        String command = args.length == 0 ? "help" : args[0];
        String[] rest = args.length == 0 ? args : Arrays.copyOfRange(args, 1, args.length);
        try {
            switch (command) {
                case "serve" -> ServeCommand.serve(rest);
                case "demo" -> ServeCommand.demo(rest);
                case "solve" -> SolveCommand.solve(rest);
                case "soak" -> SolveCommand.soak(rest);
                case "fit" -> SolveCommand.fit(rest);
                case "joints" -> SolveCommand.joints(rest);
                case "route" -> RouteCommand.route(rest);
                case "log" -> LogCommand.log(rest);
                case "backup" -> BackupCommand.backup(rest);
                case "restore" -> BackupCommand.restore(rest);
                case "help", "--help", "-h" -> HelpCommand.print();
                default ->
                    throw new StartFault(
                            "\"" + command
                                    + "\" is not a command. Commands: demo, serve, backup, restore, solve, soak, fit, joints, route, log, help.");
            }
            return 0;
        } catch (StartFault fault) {
            System.err.println("enthalpa: " + fault.getMessage());
            return 2;
        }
    }
}
