package io.enthalpa.e2e.faults;

import java.util.ArrayList;
import java.util.List;

/** One odd request, being made up. */
final class Odd {
    String method = "POST";
    String path = "/";
    String body;
    final List<String> headers = new ArrayList<>(List.of("Content-Type", "application/json"));
}
