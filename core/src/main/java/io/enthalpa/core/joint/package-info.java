/** Where pipes are joined: what moves there and pushes, what bears it, and what making it so takes. */
package io.enthalpa.core.joint;
