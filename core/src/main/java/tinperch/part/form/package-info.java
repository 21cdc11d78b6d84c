/**
 * The form a family makes: pieces with their cavities, screws, joints, what is held, what is offered, dimensions to draw.
 * Nothing in it is judged and nothing in it is measured yet.
 */
package tinperch.part.form;
