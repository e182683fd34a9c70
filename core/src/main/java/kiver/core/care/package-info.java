/**
 * Looking after plants between emergence and release. Here will live water by need, feed, light, look lists and the hours they
 * take. They are records by place, tray and person, not changes of a batch: watering changes no account of cells.
 */
package kiver.core.care;
