package io.enthalpa.formats.document;

/** What has a name that its owner gave it. */
interface Named {
    String name();
}
