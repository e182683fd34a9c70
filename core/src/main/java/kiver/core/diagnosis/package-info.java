/** Why plants fail: what the record of a batch says for and against each cause. */
@NullMarked
package kiver.core.diagnosis;

import org.jspecify.annotations.NullMarked;
