/** What a nursery begins with and what its forms choose from. */
package kiver.server.founding;
