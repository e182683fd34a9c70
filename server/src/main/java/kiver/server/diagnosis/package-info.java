/** Why plants fail, how a batch fared, and what is looked for. */
package kiver.server.diagnosis;
