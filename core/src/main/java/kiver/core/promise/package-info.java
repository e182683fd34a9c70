/** Answering a grower on the telephone: what was asked, whether it can be, and what could be instead. */
package kiver.core.promise;
