package io.enthalpa.server.catalogue;

import io.enthalpa.formats.CatalogueItem;

/**
 * A catalogue item with its number.
 *
 * @param version how often it was changed, from 1
 */
record StoredItem(long id, int version, CatalogueItem item) {}
