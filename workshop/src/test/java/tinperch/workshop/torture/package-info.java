/** What files, stores and processes are put through on purpose: run by hand with many rounds, and with few among the deep tests. */
package tinperch.workshop.torture;
