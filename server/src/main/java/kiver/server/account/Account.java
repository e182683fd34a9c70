package kiver.server.account;

/**
 * A person who can sign in.
 *
 * @param id number
 * @param email that they sign in with, lower case
 * @param name as shown
 * @param passwordHash never leaves the server
 * @param role what they do
 * @param growerId the grower they belong to; null unless the role is grower
 */
public record Account(long id, String email, String name, String passwordHash, Role role, Long growerId) {}
