/** Recording sowings, labels, and what counts have taught about seed lots. */
package kiver.server.sow;
