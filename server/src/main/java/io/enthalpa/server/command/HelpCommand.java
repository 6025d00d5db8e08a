package io.enthalpa.server.command;

/** Prints what the program can do. */
public final class HelpCommand {
    private HelpCommand() {}

    public static void print() {
        System.out.println(
                "Commands: demo, serve --data DIR, backup FILE --data DIR, restore FILE --data DIR, solve FILE, soak FILE, fit FILE, joints FILE, route FILE, log FILE --build FILE. See ./enthalpa help.");
    }
}
