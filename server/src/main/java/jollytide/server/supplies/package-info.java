/** What is in a home's cupboard, what uses it up, and when more must be ordered. */
package jollytide.server.supplies;
