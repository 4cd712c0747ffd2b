using Microsoft.EntityFrameworkCore;
using Npgsql;

namespace YellowPencil.Data;

/// <summary>Why the database did not keep something.</summary>
public static class DataFaults
{
    /// <summary>Whether a row could not be kept because another one that must be the only one of its kind is there already.</summary>
    public static bool IsTaken(this DbUpdateException fault) => fault.InnerException is PostgresException { SqlState: PostgresErrorCodes.UniqueViolation };

    /// <summary>Whether something could not be kept because the disk of the database is full.</summary>
    public static bool IsFull(this Exception fault)
    {
        for (var e = fault; e is not null; e = e.InnerException)
        {
            if (e is PostgresException { SqlState: PostgresErrorCodes.DiskFull }) return true;
        }

        return false;
    }
}
