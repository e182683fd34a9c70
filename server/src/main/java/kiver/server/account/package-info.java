/** Who may do what: accounts, roles, signing in and out, and the first account of a new nursery. */
package kiver.server.account;
