package io.enthalpa.server.catalogue;

import io.enthalpa.formats.CatalogueItem;

/** A catalogue item with its number. */
record StoredItem(long id, CatalogueItem item) {
}
