/** How a refusal is told: what is wrong, at which entry, and what to do. Nothing here knows the trade. */
package kiver.server.problem;
