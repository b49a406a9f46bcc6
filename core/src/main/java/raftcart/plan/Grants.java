package raftcart.plan;

/** What becomes of rights on tables and views, and of those who have them. */
public enum Grants {
    /** The statements are written for a person, since users and roles belong to the server. */
    HAND_OVER,
    /** Who has rights becomes a role without a password, unless there is one of that name, and gets the rights. */
    CREATE
}
