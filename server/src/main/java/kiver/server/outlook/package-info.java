/** How batches stand and what lies ahead of them: worked out, kept until something changes, and shown. */
package kiver.server.outlook;
