/** Looking after plants: what is looked for on the round, and what was seen. */
@NullMarked
package kiver.server.care;

import org.jspecify.annotations.NullMarked;
