/** Every error leaves as an RFC 9457 problem document that names what, where and what is allowed. */
package jollytide.server.problem;
