/** What is to be potted on, and a morning of it in its order. */
package kiver.server.potting;
