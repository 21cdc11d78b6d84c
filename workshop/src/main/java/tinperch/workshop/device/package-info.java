/** What temperatures are recorded from: serial ports and stand-ins for them, and the recordings that go on. */
package tinperch.workshop.device;
