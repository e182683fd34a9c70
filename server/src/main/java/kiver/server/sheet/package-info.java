/** Reading in, writing out and editing what the nursery has, as rows of open sheets. */
package kiver.server.sheet;
