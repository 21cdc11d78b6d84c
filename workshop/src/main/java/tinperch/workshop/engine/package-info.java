/** The one place that makes threads for facts: what is asked for is found out in the background, once, and the latest edit wins. */
package tinperch.workshop.engine;
