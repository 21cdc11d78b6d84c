/** Air that fans move through ducts and filters: curves of usual fans, what resists them, where both meet. */
package tinperch.air;
