/** Beginning hardening, its days, and its end. */
package kiver.server.harden;
