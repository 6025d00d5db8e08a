package io.enthalpa.formats.document;

import io.enthalpa.core.chargepath.CoolingSide;

/**
 * A core that hangs on another's water loop.
 *
 * @param core   name of the core whose loop it is
 * @param stands how the water comes to it
 */
@Part(value = "core/sharesLoop", says = "a core without a loop of its own: it hangs on another core's")
record SharesLoop(String core, CoolingSide.OnLoop stands) {}
