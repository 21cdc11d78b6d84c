/** Downloaded models on their way in: read, mended, searched for holes, all in the background. */
package tinperch.workshop.model;
