using Microsoft.EntityFrameworkCore;
using Npgsql;

namespace YellowPencil.Data;

/// <summary>What the database says of a write that two made at once.</summary>
public static class DataFaults
{
    /// <summary>Whether a row could not be kept because another one that must be the only one of its kind is there already.</summary>
    public static bool IsTaken(this DbUpdateException fault) => fault.InnerException is PostgresException { SqlState: PostgresErrorCodes.UniqueViolation };
}
