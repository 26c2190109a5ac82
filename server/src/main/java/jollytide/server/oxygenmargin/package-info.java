/** Will they have oxygen at the worst hour? */
package jollytide.server.oxygenmargin;
