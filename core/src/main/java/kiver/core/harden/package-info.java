/** Getting young plants used to wind, sun and cool nights before they leave. */
package kiver.core.harden;
