/** The invented home that a visitor may walk through. */
package jollytide.server.demo;
