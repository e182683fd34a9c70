/** What growers ask for: so many plants of a variety, at a stage, in a container, on a date. */
package kiver.core.order;
