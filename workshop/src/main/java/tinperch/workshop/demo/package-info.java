/** The demo: an invented model boat club, its machines, readings and revisions. Nothing here is a trade fact. */
package tinperch.workshop.demo;
